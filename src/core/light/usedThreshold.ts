import { errorShares } from '../detection/threshold';
import type { LineThreshold } from './lineThreshold';

/** What a threshold that a program compares with does: less than it is a darker line, more than it a lighter one. */
export interface UsedThreshold {
  threshold: number;
  /** Of the line's readings those that it misses, of the floor's those that it takes for the line. */
  missed: number;
  falsely: number;
}

/** A reading that equals the program's number is neither less nor more than it: the next step counts. */
export function usedThreshold(found: LineThreshold, threshold: number): UsedThreshold {
  const { lineIs, line, floor, step } = found;
  const isDarker = lineIs === 'darker';
  const spreads = isDarker ? { low: line, high: floor } : { low: floor, high: line };
  const shares = errorShares(spreads, isDarker ? threshold - step / 2 : threshold + step / 2);
  return {
    threshold,
    missed: isDarker ? shares.low : shares.high,
    falsely: isDarker ? shares.high : shares.low,
  };
}
