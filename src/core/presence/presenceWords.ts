import { fromText, upToText } from '../text/rawReadings';

interface Parted {
  thereIs: 'lower' | 'higher' | null;
  threshold: number | null;
  step: number;
}

/** "reads 31 or less", as a program asks it. */
export function thereText({ thereIs, threshold, step }: Parted): string {
  if (thereIs === null || threshold === null) return 'gives a reading at all';
  return `reads ${(thereIs === 'lower' ? upToText : fromText)(threshold, step)}`;
}

/** By which readings it counts as gone. */
export const goneText = ({ thereIs, step }: Omit<Parted, 'threshold'>, leave: number): string =>
  (thereIs === 'lower' ? fromText : upToText)(leave, step);
