import { text } from '../../description/description';
import { readToM } from '../../description/values';

/** Under what they were made: every list has these. */
export const MADE_UNDER = {
  surface: text({ label: 'Surface' }),
  battery: text({ label: 'Battery' }),
  who: text({ label: 'Measured by (nickname)' }),
  readToM,
};
