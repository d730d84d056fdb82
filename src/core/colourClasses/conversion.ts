import type { ColourSample } from './reading';
import { colourClasses } from './colourClasses';
import type { ColourScale } from './scale';

/** How a team's program makes its own numbers of a sensor's counts: divided, and kept to a largest one. */
export interface Conversion {
  divisor: number;
  most: number;
}

export interface ConversionFound {
  /** Of all readings those of which some channel was cut off. */
  clipped: number;
  n: number;
  /** The colours that were cut off, the most often first. */
  names: string[];
  /** The least whole divisor that leaves the largest count some room. */
  divisor: number;
  /** Mistaken as they are counted, and as the program has them; null where too few tell. */
  errors: { counted: number; converted: number } | null;
}

/** Brighter light than that of the day may come. */
const ROOM = 1.1;

type Rgb = Extract<ColourSample['reading'], { kind: 'rgb' }>;
const isRgb = (sample: ColourSample): sample is ColourSample & { reading: Rgb } =>
  sample.reading.kind === 'rgb';

/**
 * What a program's own conversion cuts off of a sensor's counts: colours that differ above its largest number read alike.
 *
 * @returns null for readings that are no counts of red, green and blue
 */
export function conversionOf(
  samples: readonly ColourSample[],
  scale: ColourScale,
  { divisor, most }: Conversion,
): ConversionFound | null {
  const counted = samples.filter(isRgb);
  if (counted.length === 0) return null;
  const channels = ({ red, green, blue }: Rgb) => [red, green, blue];
  const largest = Math.max(...counted.flatMap(({ reading }) => channels(reading))) * scale.counts;
  const cut = (share: number) => Math.min(most, (share * scale.counts) / divisor) / most;
  const isCut = ({ reading }: { reading: Rgb }) =>
    channels(reading).some((share) => (share * scale.counts) / divisor > most);
  const clipped = counted.filter(isCut);
  const times = (name: string) => clipped.filter((one) => one.name === name).length;
  const converted = counted.map((one) => {
    const { red, green, blue } = one.reading;
    const reading: Rgb = {
      kind: 'rgb',
      red: cut(red),
      green: cut(green),
      blue: cut(blue),
      clear: null,
    };
    return { ...one, reading };
  });
  const plain = counted.map((one) => ({ ...one, reading: { ...one.reading, clear: null } }));
  const [before, after] = [plain, converted].map(
    (all) => colourClasses(all, scale)?.errorRate.value ?? null,
  );
  return {
    clipped: clipped.length,
    n: counted.length,
    names: [...new Set(clipped.map(({ name }) => name))].toSorted((a, b) => times(b) - times(a)),
    divisor: Math.max(1, Math.ceil((ROOM * largest) / most)),
    errors: before == null || after == null ? null : { counted: before, converted: after },
  };
}
