import { hsvOf, type Hsv } from '../colour/hsv';

/** What a colour sensor showed once, in shares of its scale; hue as an angle. */
export type ColourReading =
  | { kind: 'rgb'; red: number; green: number; blue: number; clear: number | null }
  | { kind: 'hsv'; hueRad: number; saturation: number; value: number }
  | { kind: 'hue'; hueRad: number }
  | { kind: 'class'; shown: string };

/** A reading over something whose colour is known. */
export interface ColourSample {
  /** What it was over: a colour, the dark floor, nothing at all. */
  name: string;
  reading: ColourReading;
  distanceM: number | null;
  light: string | null;
  /** Which of several sensors read it; null: nobody said. */
  unit: string | null;
}

/** Below this saturation, or value, a hue is noise. */
export const LEAST_SATURATION = 0.15;
export const LEAST_VALUE = 0.1;

/** Hue, saturation and value of a reading; null where it has none. */
export function hsvOfReading(reading: ColourReading): Hsv | null {
  if (reading.kind === 'rgb') return hsvOf(reading.red, reading.green, reading.blue);
  return reading.kind === 'hsv' ? reading : null;
}

/** Whether the hue of a reading means something. */
export function hasHue(reading: ColourReading): boolean {
  const hsv = hsvOfReading(reading);
  if (hsv === null) return reading.kind === 'hue';
  return hsv.saturation >= LEAST_SATURATION && hsv.value >= LEAST_VALUE;
}
