import { mean } from '../stats/moments';
import type { ColourReading, ColourSample } from './reading';

type Rgb = Extract<ColourReading, { kind: 'rgb' }>;
type Sample = ColourSample & { reading: Rgb };

/** Which of the colours that were read are references; empty: none is. */
export interface ReferenceNames {
  white: string;
  black: string;
}

/** What red, green and blue read over a white and a black reference, in shares of the scale. */
export interface References {
  white: [number, number, number];
  black: [number, number, number];
}

/** A white that reads hardly more than black is none: noise would be blown up. */
const LEAST_SPAN = 0.02;
/** Brighter than white there may be, but not by more than this. */
const MOST = 1.5;

const channels = ({ red, green, blue }: Rgb): [number, number, number] => [red, green, blue];

const isRgb = (sample: ColourSample): sample is Sample => sample.reading.kind === 'rgb';

function meanOf(samples: readonly Sample[]): [number, number, number] | null {
  if (samples.length === 0) return null;
  const all = samples.map(({ reading }) => channels(reading));
  return [0, 1, 2].map((k) => mean(all.map((one) => one[k] ?? 0))) as [number, number, number];
}

/** Readings of a reference that came as a sample did: by the same unit, in the same light, from as far; else fewer of these. */
function nearest(references: readonly Sample[], { unit, light, distanceM }: Sample): Sample[] {
  const byUnit = references.filter((one) => one.unit === unit);
  const byLight = byUnit.filter((one) => one.light === light);
  const alike = byLight.filter((one) => one.distanceM === distanceM);
  return [alike, byLight, byUnit, [...references]].find(({ length }) => length > 0) ?? [];
}

/** What the references read, near a sample; of a black that nobody read, nothing. */
function referencesNear(samples: readonly Sample[], names: ReferenceNames, of: Sample) {
  const called = (name: string) => samples.filter((one) => one.name === name);
  const white = meanOf(nearest(called(names.white), of));
  const black: [number, number, number] = (names.black === ''
    ? null
    : meanOf(nearest(called(names.black), of))) ?? [0, 0, 0];
  if (white === null || white.some((one, k) => one - (black[k] ?? 0) < LEAST_SPAN)) return null;
  return { white, black };
}

/**
 * Readings told by a white and a black reference: (reading − black) / (white − black), channel by channel, so that units,
 * lamps and heights that differ tell the same.
 *
 * Source: flat-field correction, e.g. Gonzalez and Woods, Digital Image Processing, 4th ed., 2018, section 2.6.
 * @returns null where no white was read, or it reads hardly more than black
 */
export function byReferences(
  samples: readonly ColourSample[],
  names: ReferenceNames,
): { samples: ColourSample[]; references: References } | null {
  const rgb = samples.filter(isRgb);
  const [first] = rgb;
  if (names.white === '' || first === undefined) return null;
  const references = referencesNear(rgb, names, first);
  if (references === null) return null;
  const told = rgb.map((one) => {
    const { white, black } = referencesNear(rgb, names, one) ?? references;
    const [red, green, blue] = channels(one.reading).map((value, k) =>
      Math.min(MOST, Math.max(0, (value - (black[k] ?? 0)) / ((white[k] ?? 1) - (black[k] ?? 0)))),
    );
    const reading: Rgb = {
      kind: 'rgb',
      red: red ?? 0,
      green: green ?? 0,
      blue: blue ?? 0,
      clear: null,
    };
    return { ...one, reading };
  });
  return { samples: told, references };
}
