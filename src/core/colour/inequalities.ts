import { degreesFromRadians } from '../geometry/angle';
import { hsvOf } from './hsv';

/**
 * The numbers of a reading by which colours are told apart: red, green, blue and clear as shares of what white reads
 * (or of full scale), percent of red + green + blue, hue in degrees, saturation and value in percent.
 */
export const COLOUR_NUMBERS = [
  ...(['r', 'g', 'b', 'clear'] as const),
  ...(['rPercent', 'gPercent', 'bPercent'] as const),
  ...(['h', 's', 'v'] as const),
] as const;

export type ColourNumber = (typeof COLOUR_NUMBERS)[number];

/** From where to where a number lies; null: no matter how far. A hue may begin above its end, and goes over 360° then. */
export interface Band {
  low: number | null;
  high: number | null;
}

/** A colour by inequalities: it is one if all bands of one of its boxes hold. */
export interface ColourRules {
  name: string;
  boxes: readonly (readonly (Band & { by: ColourNumber })[])[];
}

/** What a colour sensor reads, in shares of its scale. */
export type Shares = Record<'red' | 'green' | 'blue', number> & { clear?: number | null };

/** Whether a value lies within a band; one that begins above its end goes over the seam of a circle. */
export function isWithin({ low, high }: Band, value: number): boolean {
  if (low !== null && high !== null && low > high) return value >= low || value <= high;
  return (low === null || value >= low) && (high === null || value <= high);
}

const PERCENT = 100;

/** All numbers of a reading by which colours may be told. */
export function numbersOf({
  red,
  green,
  blue,
  clear,
}: Shares): Readonly<Record<ColourNumber, number>> {
  const sum = red + green + blue;
  const { hueRad, saturation, value } = hsvOf(red, green, blue);
  const percentOf = (band: number) => (sum > 0 ? (PERCENT * band) / sum : PERCENT / 3);
  return {
    r: red,
    g: green,
    b: blue,
    clear: clear ?? 0,
    rPercent: percentOf(red),
    gPercent: percentOf(green),
    bPercent: percentOf(blue),
    h: degreesFromRadians(hueRad),
    s: PERCENT * saturation,
    v: PERCENT * value,
  };
}

/** The first colour whose inequalities a reading fulfils; null: none. */
export function colourBy(rules: readonly ColourRules[], reading: Shares): string | null {
  const numbers = numbersOf(reading);
  const found = rules.find(({ boxes }) =>
    boxes.some((box) => box.every((band) => isWithin(band, numbers[band.by]))),
  );
  return found?.name ?? null;
}

/** A reading as shares of what white reads, over what black reads. */
export function overReferences(reading: Shares, { white, black }: References): Shares {
  const of = (band: 'red' | 'green' | 'blue') =>
    (reading[band] - black[band]) / Math.max(1e-6, white[band] - black[band]);
  return { red: of('red'), green: of('green'), blue: of('blue') };
}

/** What a sensor reads over white and over black. */
export interface References {
  white: Record<'red' | 'green' | 'blue', number>;
  black: Record<'red' | 'green' | 'blue', number>;
}
