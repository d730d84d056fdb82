import { luminance, reflectedBy, type Reflected } from './reflected';

/** Colours that have a word, as a screen shows them. */
const WORDS = {
  black: '#000000',
  'dark grey': '#4a4a4a',
  grey: '#8a8a8a',
  'light grey': '#c8c8c8',
  white: '#ffffff',
  red: '#c81e1e',
  orange: '#e87b1c',
  yellow: '#f0d020',
  'light green': '#90d070',
  green: '#1f8a3c',
  turquoise: '#20a8a8',
  'light blue': '#80b8e8',
  blue: '#1f4fb0',
  purple: '#7a2f9c',
  pink: '#e88ab0',
  brown: '#7a4a24',
} as const;

/** Standard daylight, of which white gives back all. */
const WHITE_X = 0.9505;
const WHITE_Z = 1.089;

const cubeRoot = (t: number): number =>
  t > 216 / 24389 ? Math.cbrt(t) : ((24389 / 27) * t + 16) / 116;

/** A surface in CIELAB, in which equal distances look about equally far. Source: CIE 15:2018, section 8.2.1. */
function lab(of: Reflected): [number, number, number] {
  const x = cubeRoot((0.4124 * of.red + 0.3576 * of.green + 0.1805 * of.blue) / WHITE_X);
  const y = cubeRoot(luminance(of));
  const z = cubeRoot((0.0193 * of.red + 0.1192 * of.green + 0.9505 * of.blue) / WHITE_Z);
  return [116 * y - 16, 500 * (x - y), 200 * (y - z)];
}

const NAMED = Object.entries(WORDS).map(([word, colour]) => ({
  word,
  at: lab(reflectedBy(colour)),
}));

/** The word that comes nearest to a colour. @param colour "#rrggbb" */
export function colourName(colour: string): string {
  const at = lab(reflectedBy(colour));
  const off = (other: readonly number[]) => Math.hypot(...at.map((v, i) => v - (other[i] ?? 0)));
  return NAMED.reduce((best, one) => (off(one.at) < off(best.at) ? one : best)).word;
}

/** A colour as differences show it: "red (#c81e1e)". */
export const colourText = (colour: string): string => `${colourName(colour)} (${colour})`;
