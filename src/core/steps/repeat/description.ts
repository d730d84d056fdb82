import { description, number, type RecordOf } from '../../description/description';
import { say } from '../../description/phrase';

/** The steps within it, so many times one after the other. */
export const REPEAT = description({
  kind: 'repeat',
  label: 'Repeat',
  fields: {
    times: number({ label: 'Times', quantity: 'times', whole: true, min: 1, max: 50, default: 2 }),
  },
  phrase: () => say`Repeat ${'times'}`,
});

export type RepeatStep = RecordOf<typeof REPEAT>;
