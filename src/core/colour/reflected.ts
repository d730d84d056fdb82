/** How much of the light a surface gives back, of 1, in three bands. */
export interface Reflected {
  red: number;
  green: number;
  blue: number;
}

/** From a byte of a screen's colour to the share of the light: the inverse of its transfer function. */
function linear(byte: number): number {
  const of1 = byte / 255;
  return of1 <= 0.04045 ? of1 / 12.92 : ((of1 + 0.055) / 1.055) ** 2.4;
}

/**
 * What a surface gives back that looks as a colour does on a screen.
 *
 * Source: IEC 61966-2-1:1999, the transfer function of sRGB.
 *
 * @param colour "#rrggbb"
 */
export function reflectedBy(colour: string): Reflected {
  const [red = 0, green = 0, blue = 0] = [1, 3, 5].map((at) =>
    linear(Number.parseInt(colour.slice(at, at + 2), 16)),
  );
  return { red, green, blue };
}

/**
 * How light a surface looks, of 1: its relative luminance.
 *
 * Source: ITU-R BT.709-6, item 3.2, the weights that sRGB takes over.
 */
export const luminance = ({ red, green, blue }: Reflected): number =>
  0.2126 * red + 0.7152 * green + 0.0722 * blue;
