import { description, flag, number, type RecordOf } from '../../description/description';
import { say } from '../../description/phrase';
import { UNTIL } from '../sharedFields';

/** Stand for a time, until a condition holds, or for the start signal; when the time is over it goes on in any case. */
export const WAIT = description({
  kind: 'wait',
  label: 'Wait',
  fields: {
    seconds: number({ label: 'Time', quantity: 'time', min: 0, max: 60, default: 1 }),
  },
  optional: {
    until: { ...UNTIL, label: 'Until' },
    start: flag({
      label: 'For what',
      about: 'true: for the start signal, however long that takes',
      yes: 'the start signal',
      no: 'a time',
      leftOut: 'a time',
    }),
  },
  phrase: ({ until, start }) =>
    start === true
      ? say`Wait for ${'start'}`
      : [
          'Wait ',
          { ifSet: 'until', phrase: say`until ${'until'}, ` },
          ...say`for ${{ slot: 'seconds', ...(until !== undefined && { label: 'Time at most' }) }}`,
          ...(until === undefined ? [] : [' at most']),
          { ifSet: 'start', phrase: say`; it waits for ${'start'}` },
        ],
});

export type WaitStep = RecordOf<typeof WAIT>;
