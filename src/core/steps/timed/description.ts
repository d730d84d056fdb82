import { description, number, type RecordOf } from '../../description/description';
import { UNTIL } from '../sharedFields';
import { say } from '../../description/phrase';

const power = (label: string) =>
  number({
    label,
    about: 'share of full power; negative turns backwards',
    quantity: 'share',
    min: -1,
    max: 1,
    default: 0.3,
  });

/** Where programs are told speeds. */
const wheel = (label: string) =>
  number({
    label,
    about: 'its speed, in place of a power; negative turns backwards',
    quantity: 'speed',
    min: -5,
    max: 5,
  });

/** Both motors at a power, or a speed, each, for a time; nothing is steered. */
export const TIMED = description({
  kind: 'timed',
  label: 'For a time',
  fields: {
    seconds: number({ label: 'Time', quantity: 'time', min: 0.05, max: 60, default: 1 }),
    leftShare: power('Left motor'),
    rightShare: power('Right motor'),
  },
  optional: {
    leftMPerS: wheel('Left wheel'),
    rightMPerS: wheel('Right wheel'),
    until: UNTIL,
  },
  phrase: () => [
    ...say`Drive for ${'seconds'}, the left motor at ${'leftShare'}, the right one at ${'rightShare'} of full power`,
    { ifSet: 'leftMPerS', phrase: say`; the left wheel is told ${'leftMPerS'} instead` },
    { ifSet: 'rightMPerS', phrase: say`; the right wheel is told ${'rightMPerS'} instead` },
    { ifSet: 'until', phrase: say`, or until ${'until'}` },
  ],
});

export type TimedStep = RecordOf<typeof TIMED>;
