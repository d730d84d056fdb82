import { errorFigure, errorScale, fineDecimals } from '../../core/text/lengths';
import { degreesFromRadians } from '../../core/geometry/angle';
import { number, headingFigure } from '../../core/text/quantities';

const signed = (text: string) =>
  /^[−0]/.test(text) && !/^0\.0*[1-9]/.test(text) ? text : `+${text}`;

const fine = (metres: number): string => number(errorFigure(metres), fineDecimals());

/** A small length to a tenth of a millimetre, as it stands in a figure beside its unit; null stays null. */
export const smallText = (metres: number | null): string | null =>
  metres === null ? null : fine(metres);

export const signedSmall = (metres: number | null): string | null =>
  metres === null ? null : signed(fine(metres));

/** The unit of such figures. */
export const smallUnit = (): string => errorScale().label;

export const signedDegrees = (radians: number | null): string | null =>
  radians === null ? null : signed(number(headingFigure(radians), 1));

export const degreesText = (radians: number | null): string | null =>
  radians === null ? null : number(degreesFromRadians(radians), 1);
