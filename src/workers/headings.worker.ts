import { expose } from 'comlink';
import { setTeamManner } from '../core/text/manner';
import { headingsOnRoute } from '../core/forecast/headingsOnRoute';

/** Whether to zero the heading before each turn, tried on a route. */
const headings = { speakAs: setTeamManner, onRoute: headingsOnRoute };

export type HeadingsWorker = typeof headings;

expose(headings);
