export interface Hsv {
  hueRad: number;
  saturation: number;
  value: number;
}

/**
 * Hue, saturation and value; black has hue and saturation 0.
 *
 * Source: Smith, Color gamut transform pairs, SIGGRAPH '78, 12–19 (the hexcone).
 */
export function hsvOf(red: number, green: number, blue: number): Hsv {
  const value = Math.max(red, green, blue);
  const chroma = value - Math.min(red, green, blue);
  if (!(chroma > 0)) return { hueRad: 0, saturation: 0, value };
  const sixth =
    value === red
      ? (green - blue) / chroma
      : value === green
        ? 2 + (blue - red) / chroma
        : 4 + (red - green) / chroma;
  const hueRad = (((sixth + 6) % 6) * Math.PI) / 3;
  return { hueRad, saturation: chroma / value, value };
}
