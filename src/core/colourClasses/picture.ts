import { hsvOfReading, LEAST_VALUE, type ColourReading, type ColourSample } from './reading';
import { representationsOf, type Column } from './representations';
import type { ColourScale } from './scale';

/** A sample in a picture: its class by its number. */
export interface PicturePoint {
  at: number;
  x: number;
  y: number;
}

/** Two numbers of the samples against each other, in the program's scale. */
export interface ColourPlane {
  xTitle: string;
  yTitle: string;
  points: PicturePoint[];
}

/** Hue as an angle, saturation as the way from the middle (1 where a sensor shows the hue alone); null where there is no hue. */
export function hueCircle(
  samples: readonly ColourSample[],
  names: readonly string[],
): PicturePoint[] | null {
  const place = (reading: ColourReading) => {
    if (reading.kind === 'hue') return { hueRad: reading.hueRad, radius: 1 };
    const hsv = hsvOfReading(reading);
    // What is too dark shows any hue.
    return hsv === null || hsv.value < LEAST_VALUE
      ? null
      : { hueRad: hsv.hueRad, radius: hsv.saturation };
  };
  const points = samples.flatMap(({ name, reading }) => {
    const at = place(reading);
    if (at === null) return [];
    const { hueRad, radius } = at;
    return [
      { at: names.indexOf(name), x: radius * Math.cos(hueRad), y: radius * Math.sin(hueRad) },
    ];
  });
  return points.length === 0 ? null : points;
}

/** Of columns that are no hue the two first; null where there are none. */
function axesOf(columns: readonly Column[]): [Column, Column | null] | null {
  const straight = columns.filter(({ period }) => period === null);
  const [first, second] = straight;
  return first === undefined ? null : [first, second ?? null];
}

/** The plane of the way that is recommended; with one number alone, each class on a line of its own. */
export function colourPlane(
  samples: readonly ColourSample[],
  names: readonly string[],
  representation: string,
  scale: ColourScale,
): ColourPlane | null {
  const [first] = samples;
  if (first === undefined) return null;
  const way = representationsOf(first.reading).find(({ id }) => id === representation);
  const axes = axesOf(way?.columns ?? []);
  if (axes === null) return null;
  const [x, y] = axes;
  return {
    xTitle: x.words,
    yTitle: y?.words ?? '',
    points: samples.map(({ name, reading }) => ({
      at: names.indexOf(name),
      x: x.of(reading, scale),
      y: y?.of(reading, scale) ?? names.indexOf(name) + 1,
    })),
  };
}
