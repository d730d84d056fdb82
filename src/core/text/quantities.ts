import { degreesFromRadians } from '../geometry/angle';

const MINUS = '−';

/** A number with a fixed count of decimals, a true minus sign and no "−0". */
export function number(value: number, decimals = 0): string {
  const text = value.toFixed(decimals);
  return /^-0(\.0*)?$/.test(text) ? text.slice(1) : text.replace('-', MINUS);
}

/** A number with at most so many decimals, without trailing zeros. */
export function shortNumber(value: number, decimals: number): string {
  const rounded = Number(value.toFixed(decimals));
  return number(rounded, (String(rounded).split('.')[1] ?? '').length);
}

export const centimetres = (metres: number, decimals = 1): string =>
  `${shortNumber(metres * 100, decimals)} cm`;

export const millimetres = (metres: number): string => `${number(metres * 1000)} mm`;

export const degrees = (radians: number, decimals = 1): string =>
  `${shortNumber(degreesFromRadians(radians), decimals)}°`;

export const percent = (share: number): string => `${number(share * 100)} %`;

/** Seconds below a minute, then minutes and seconds as a match clock shows them. */
export function clock(seconds: number): string {
  if (seconds < 60) return `${shortNumber(seconds, 1)} s`;
  const whole = Math.round(seconds);
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')} min`;
}

/** "1 run", "2 runs". */
export const counted = (n: number, one: string, many = `${one}s`): string =>
  `${n} ${n === 1 ? one : many}`;
