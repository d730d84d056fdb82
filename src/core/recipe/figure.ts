import { shortNumber } from '../text/quantities';
import type { Figure } from './lines';

/** A number that stands in a line. */
export const typed = (value: number, decimals: number): string => shortNumber(value, decimals);

export const figure = (value: number, decimals: number, unit: string): Figure => ({
  value,
  decimals,
  unit,
});

export const figureText = ({ value, decimals }: Figure): string => typed(value, decimals);

export const seconds = (value: number): Figure => figure(value, 3, 's');
