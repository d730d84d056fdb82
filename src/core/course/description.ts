import { description, number } from '../description/description';
import { say } from '../description/phrase';
import { POSE } from '../table/description';

/* The values of how a run begins, each described once. */

/** Where the robot starts. */
const START = {
  xM: { ...POSE.xM, label: 'Start x', quantity: 'length' },
  yM: { ...POSE.yM, label: 'Start y', quantity: 'length' },
  headingRad: { ...POSE.headingRad, label: 'Start heading' },
} as const;

const scatter = (label: string) =>
  number({ label, quantity: 'small length', min: 0, max: 0.5, default: 0.004 });

/** How exactly it is placed: standard deviations along and across its heading. */
export const PLACEMENT = {
  alongSdM: scatter('Placing scatter along'),
  acrossSdM: scatter('Placing scatter across'),
  headingSdRad: number({
    label: 'Placing scatter of the heading',
    quantity: 'angle',
    min: 0,
    max: 1,
    default: 0.014,
  }),
};

/** Where it starts, and how exactly it is placed there: one sentence. */
export const BEGINNING = description({
  kind: 'beginning',
  label: 'Start',
  fields: { ...START, ...PLACEMENT },
  phrase: () =>
    say`Start at ${'xM'} | ${'yM'} facing ${'headingRad'}; placed to ± ${'alongSdM'} along, ± ${'acrossSdM'} across, ± ${'headingSdRad'}`,
});
