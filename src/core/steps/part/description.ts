import { description, text } from '../../description/description';
import { say } from '../../description/phrase';

/** The steps within it, once, under a name: they are moved and doubled together. */
export const PART = description({
  kind: 'part',
  label: 'Part',
  fields: { name: text({ label: 'Name of the part', isNeeded: true, wanted: 'expected a name' }) },
  phrase: () => say`${'name'}:`,
});
