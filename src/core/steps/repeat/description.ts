import { description, number } from '../../description/description';
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
