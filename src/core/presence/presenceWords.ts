import { shortNumber } from '../text/quantities';

const DECIMALS = 2;

interface Parted {
  thereIs: 'lower' | 'higher' | null;
  threshold: number | null;
}

const figure = (reading: number): string => shortNumber(reading, DECIMALS);

/** "reads 31 or less", as a program asks it. */
export function thereText({ thereIs, threshold }: Parted): string {
  if (thereIs === null || threshold === null) return 'gives a reading at all';
  return thereIs === 'lower'
    ? `reads ${figure(threshold)} or less`
    : `reads ${figure(threshold)} or more`;
}

/** When it counts as gone again. */
export function goneText({ thereIs }: Pick<Parted, 'thereIs'>, leave: number): string {
  return thereIs === 'lower' ? `${figure(leave)} or more` : `${figure(leave)} or less`;
}

export const readingFigure = figure;
