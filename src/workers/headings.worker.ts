import { expose } from 'comlink';
import { setDisplaySettings } from '../core/text/displaySettings';
import { headingsTold } from '../core/forecast/headingsOnRoute';

/** Whether to zero the heading before each turn, tried on a route. */
const headings = { speakAs: setDisplaySettings, onRoute: headingsTold };

export type HeadingsWorker = typeof headings;

expose(headings);
