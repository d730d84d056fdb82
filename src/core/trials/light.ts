import { choice, number, orNothing, text } from '../description/description';
import { trialKind, type TrialOf } from './kind';

/** A reading of a sensor in whatever it counts in: percent, counts, shares. */
const RAW_READING = { quantity: 'gain', min: -1e6, max: 1e6 } as const;

/** Reflected light over a line or over the floor beside it. */
export const LIGHT_TRIAL = trialKind({
  what: 'reading',
  fields: {
    unit: text({
      label: 'Unit',
      about: 'its label; empty: the one in use',
      title: 'unit',
      default: '',
    }),
    over: choice({
      label: 'Over',
      hint: 'line or floor',
      title: 'surface',
      options: { line: 'the line', floor: 'the floor' },
    }),
    place: text({
      label: 'Place',
      about: 'a word or number for each place; empty: all at one',
      title: 'place',
      default: '',
    }),
    reading: number({
      label: 'Read',
      about: 'as the sensor shows it',
      title: 'reading',
      alsoTitled: ['reading_percent', 'reading_counts', 'light', 'light_percent'],
      ...RAW_READING,
    }),
    heightM: orNothing(
      number({
        label: 'Height of the sensor',
        about: 'over the table; empty: as it is mounted',
        title: 'height_mm',
        quantity: 'small length',
        min: 0,
        max: 1,
      }),
    ),
  },
  readOff: ['reading'],
});

export type LightTrialRecord = TrialOf<typeof LIGHT_TRIAL>;
