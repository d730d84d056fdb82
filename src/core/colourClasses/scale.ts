import { radiansFromDegrees } from '../geometry/angle';
import type { ColourReading } from './reading';

/** A reading in the scale of the team's program. */
export type RawColour =
  | { r: number; g: number; b: number; clear?: number }
  | { h: number; s: number; v: number }
  | { h: number }
  | { class: string };

/** What the largest reading of each is. */
export interface ColourScale {
  /** Of red, green, blue and clear. */
  counts: number;
  h: number;
  s: number;
  v: number;
}

/** What sensors and programs count to. */
const USUAL = [1, 100, 255, 360, 1000, 1023, 1024, 4095, 4096, 65535];

const leastUsual = (most: number): number => USUAL.find((one) => one >= most) ?? most;

/** The scale that readings are in where nobody said: the smallest usual one that holds them all; hues are degrees. */
export function scaleOf(readings: readonly RawColour[]): ColourScale {
  const most = (of: (reading: RawColour) => readonly number[]) =>
    leastUsual(readings.reduce((all, one) => Math.max(all, ...of(one)), 0));
  return {
    counts: most((one) => ('r' in one ? [one.r, one.g, one.b, one.clear ?? 0] : [])),
    h: 360,
    s: most((one) => ('s' in one ? [one.s] : [])),
    v: most((one) => ('v' in one ? [one.v] : [])),
  };
}

const FULL_TURN = radiansFromDegrees(360);

export function readingOf(raw: RawColour, scale: ColourScale): ColourReading {
  if ('class' in raw) return { kind: 'class', shown: raw.class };
  if ('r' in raw) {
    const of = (count: number) => count / scale.counts;
    const clear = raw.clear === undefined ? null : of(raw.clear);
    return { kind: 'rgb', red: of(raw.r), green: of(raw.g), blue: of(raw.b), clear };
  }
  const hueRad = (raw.h / scale.h) * FULL_TURN;
  if (!('s' in raw)) return { kind: 'hue', hueRad };
  return { kind: 'hsv', hueRad, saturation: raw.s / scale.s, value: raw.v / scale.v };
}

/** A hue as the program counts it. */
export const hueInScale = (hueRad: number, scale: ColourScale): number => {
  const turns = hueRad / FULL_TURN;
  return (turns - Math.floor(turns)) * scale.h;
};
