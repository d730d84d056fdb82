import { number, orNothing, text } from '../description/description';
import { trialKind, type TrialOf } from './kind';

const MOST = 1e6;
const shown = (label: string, title: string, least = 0) =>
  orNothing(
    number({
      label,
      title,
      about: 'as the sensor shows it',
      quantity: 'gain',
      min: least,
      max: MOST,
    }),
  );

/** What a colour sensor showed over something whose colour is known: in three or four channels, as a hue, or in a word. */
export const COLOUR_TRIAL = trialKind({
  what: 'reading',
  fields: {
    name: text({
      label: 'Over',
      about: 'a colour, “dark floor”, “nothing there”',
      title: 'colour',
      alsoTitled: ['color', 'name'],
      isNeeded: true,
      wanted: 'expected what it was over',
    }),
    red: shown('Red', 'r'),
    green: shown('Green', 'g'),
    blue: shown('Blue', 'b'),
    clear: shown('Clear', 'clear'),
    hue: shown('Hue', 'h', -MOST),
    saturation: shown('Saturation', 's'),
    value: shown('Value', 'v'),
    says: text({
      label: 'It says',
      about: 'the colour that the sensor itself names',
      title: 'class',
      default: '',
    }),
    distanceM: orNothing(
      number({
        label: 'Height of the sensor',
        about: 'over what it sees; empty: as it is mounted',
        title: 'distance_mm',
        quantity: 'small length',
        min: 0,
        max: 1,
      }),
    ),
    unit: text({ label: 'Unit', about: 'its label or generation', title: 'unit', default: '' }),
    light: text({ label: 'Light there', about: 'lamps, daylight', title: 'light', default: '' }),
  },
  readOff: ['red', 'green', 'blue', 'clear', 'hue', 'saturation', 'value', 'says'],
});

export type ColourTrialRecord = TrialOf<typeof COLOUR_TRIAL>;
