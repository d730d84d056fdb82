import { degreesFromRadians } from '../../core/geometry/angle';
import { number } from '../../core/text/quantities';

const signed = (text: string) =>
  /^[−0]/.test(text) && !/^0\.0*[1-9]/.test(text) ? text : `+${text}`;

/** A length in millimetres with one decimal, as it stands in a figure; null stays null. */
export const mmText = (metres: number | null): string | null =>
  metres === null ? null : number(metres * 1000, 1);

export const signedMm = (metres: number | null): string | null =>
  metres === null ? null : signed(number(metres * 1000, 1));

export const signedDegrees = (radians: number | null): string | null =>
  radians === null ? null : signed(number(degreesFromRadians(radians), 1));

export const degreesText = (radians: number | null): string | null =>
  radians === null ? null : number(degreesFromRadians(radians), 1);
