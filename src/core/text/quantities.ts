import { degreesFromRadians } from '../geometry/angle';
import { benchScale, errorFigure, errorScale, fineDecimals } from './lengths';
import { displaySettings } from './displaySettings';

const MINUS = '−';

/** A number with a fixed count of decimals, a true minus sign, the team's decimal sign and no "−0". */
export function number(value: number, decimals = 0): string {
  const text = value.toFixed(decimals);
  const signed = /^-0(\.0*)?$/.test(text) ? text.slice(1) : text.replace('-', MINUS);
  return signed.replace('.', displaySettings().decimalSign);
}

/** A number with at most so many decimals, without trailing zeros. */
export function shortNumber(value: number, decimals: number): string {
  const rounded = Number(value.toFixed(decimals));
  return number(rounded, (String(rounded).split('.')[1] ?? '').length);
}

/** A length that is measured with a tape. */
export function benchLength(metres: number, moreDecimals = 0): string {
  const { label, perM, decimals } = benchScale();
  return `${shortNumber(metres * perM, decimals + moreDecimals)} ${label}`;
}

/** The distance after which things that grow with the way are told: a metre, or as many inches. */
export const aMetre = (): string => (errorScale().label === 'in' ? benchLength(1, -1) : 'a metre');

/** A speed over the table. */
export const benchSpeed = (mPerS: number, moreDecimals = 0): string =>
  `${benchLength(mPerS, moreDecimals)}/s`;

/** The figure of a small length, where its unit stands apart. */
export const errorNumber = (metres: number, moreDecimals = 0): string =>
  number(errorFigure(metres), errorScale().decimals + moreDecimals);

/** A small length: an error of a run, the size of a part. */
export const errorLength = (metres: number, moreDecimals = 0): string =>
  `${errorNumber(metres, moreDecimals)} ${errorScale().label}`;

/** A place on the table: "60 | 41.5 cm". */
export function placeText({ xM, yM }: { xM: number; yM: number }): string {
  const { label, perM, decimals } = benchScale();
  return `${number(xM * perM, decimals)} | ${number(yM * perM, decimals)} ${label}`;
}

/** An offset on the scale for small lengths: "12 | −4 mm". */
export const smallPlaceText = (xM: number, yM: number): string =>
  `${errorNumber(xM)} | ${errorLength(yM)}`;

/** The same to a tenth of a millimetre. */
export const fineLength = (metres: number): string =>
  `${number(errorFigure(metres), fineDecimals())} ${errorScale().label}`;

/** 1, or −1 where the team counts turns to the right as positive. */
export const turnSign = (): 1 | -1 => (displaySettings().positiveTurn === 'left' ? 1 : -1);

/** The ends of an interval of a directed quantity, the lower figure first. */
export const between = (low: number, high: number): [number, number] =>
  turnSign() > 0 ? [low, high] : [high, low];

/** A heading, turn or drift with its sign, as a figure in degrees: by the team's positive turn. */
export const headingFigure = (radians: number): number =>
  turnSign() * degreesFromRadians(radians) + 0;

/** A heading with its sign: by the team's positive turn. */
export const headingText = (radians: number, decimals = 1): string =>
  `${shortNumber(headingFigure(radians), decimals)}°`;

/** The same with a tenth always, as in a list of them. */
export const headingInList = (radians: number): string => `${number(headingFigure(radians), 1)}°`;

/** Which way its numbers grow: "left +". */
export const positiveTurn = (): string => `${displaySettings().positiveTurn} +`;

/** An angle that has no direction: a size, a rate, a tolerance. */
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
export const counted = (
  n: number,
  one: string,
  many = one.endsWith('s') ? `${one}es` : `${one}s`,
): string => `${n} ${n === 1 ? one : many}`;
