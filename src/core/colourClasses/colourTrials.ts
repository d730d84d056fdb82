import type { ColourSample } from './reading';
import { readingOf, scaleOf, type ColourScale, type RawColour } from './scale';

/** Which numbers a sensor shows. */
export type ShownForm = 'rgb' | 'hsv' | 'hue' | 'class';

/** A reading as it is kept: of its numbers those of its form are there. */
export interface ColourReadOff {
  name: string;
  red: number | null;
  green: number | null;
  blue: number | null;
  clear: number | null;
  hue: number | null;
  saturation: number | null;
  value: number | null;
  says: string;
  distanceM: number | null;
  light: string;
  unit: string;
}

/** What the largest reading of each is, as somebody said; null: as the readings show. */
export interface SaidScale {
  shows: ShownForm;
  full: number | null;
  fullHue: number | null;
  fullShare: number | null;
}

/** Which numbers of a reading each form has, in the order in which they are typed; the last of red, green, blue, clear may lack. */
export const NUMBERS_OF = {
  rgb: ['red', 'green', 'blue', 'clear'],
  hsv: ['hue', 'saturation', 'value'],
  hue: ['hue'],
  class: [],
} as const satisfies Record<ShownForm, readonly (keyof ColourReadOff)[]>;

/** In the numbers of a program; null where one of its form is not there. */
const RAW: Record<ShownForm, (of: ColourReadOff) => RawColour | null> = {
  rgb: ({ red, green, blue, clear }) =>
    red === null || green === null || blue === null
      ? null
      : { r: red, g: green, b: blue, ...(clear !== null && { clear }) },
  hsv: ({ hue, saturation, value }) =>
    hue === null || saturation === null || value === null
      ? null
      : { h: hue, s: saturation, v: value },
  hue: ({ hue }) => (hue === null ? null : { h: hue }),
  class: ({ says }) => (says === '' ? null : { class: says }),
};

/** In which form a reading is, the one with the most numbers first; null: it has the numbers of none. */
export function formOfReading(of: ColourReadOff): ShownForm | null {
  const forms: readonly ShownForm[] = ['rgb', 'hsv', 'hue', 'class'];
  return forms.find((form) => RAW[form](of) !== null) ?? null;
}

/** The samples of one form among some readings, and the scale that they are in. */
export function samplesOf(
  readings: readonly ColourReadOff[],
  { shows, full, fullHue, fullShare }: SaidScale,
): { samples: ColourSample[]; scale: ColourScale } {
  const all = readings.flatMap((one) => {
    const raw = RAW[shows](one);
    return raw === null ? [] : [{ one, raw }];
  });
  // A clear channel that some lack is left out of all.
  const hasClear = all.every(({ one }) => one.clear !== null);
  const raws = all.map(({ raw }): RawColour => {
    if (!('clear' in raw) || hasClear) return raw;
    return { r: raw.r, g: raw.g, b: raw.b };
  });
  const shown = scaleOf(raws);
  const scale = {
    counts: full ?? shown.counts,
    h: fullHue ?? shown.h,
    s: fullShare ?? shown.s,
    v: fullShare ?? shown.v,
  };
  const samples = all.map(({ one }, i) => ({
    name: one.name,
    reading: readingOf(raws[i] ?? { class: '' }, scale),
    distanceM: one.distanceM,
    light: one.light === '' ? null : one.light,
    unit: one.unit === '' ? null : one.unit,
  }));
  return { samples, scale };
}
