import { number, text } from '../description/description';
import { trialKind } from './kind';

/** A moment of a recorded run at which the true heading is known. */
export const ANCHOR = trialKind({
  what: 'anchor',
  fields: {
    tS: number({ label: 'Anchor at', title: 't_s', quantity: 'time', min: -1e6, max: 1e6 }),
    headingRad: number({
      label: 'True heading',
      title: 'true_heading_deg',
      quantity: 'heading',
      min: -2000,
      max: 2000,
    }),
    what: text({ label: 'Known by', about: 'how it is known', title: 'what', default: '' }),
  },
  readOff: [],
});
