import type { ReadingOf } from '../devices/channel';
import type { Readings } from './controller';

/** What ends a motion: a reading passes a value. */
export interface EndsWhen {
  /** What is read; null where the robot has no such unit: then it never ends so. */
  of: ReadingOf | null;
  /** Over which way the reading ends it: at the value or under it, or at the value or over it. */
  passes: 'below' | 'above';
  /** In the unit of the core: metres, a share of full scale, 1 for pressed. */
  value: number;
  /** So many readings one after the other have to pass it; a reading that is missing counts neither way. */
  confirmations: number;
}

/** What is kept of the readings so far: how many passed one after the other. */
export interface Passed {
  passed: number;
}

/** Reads in every tick whether a motion ends. */
export function hasEnded(
  { of, passes, value, confirmations }: EndsWhen,
  kept: Passed,
  now: Readings,
): boolean {
  const reading = of === null ? null : now.reading(of);
  if (reading === null) return false;
  const isPast = passes === 'below' ? reading <= value : reading >= value;
  kept.passed = isPast ? kept.passed + 1 : 0;
  return kept.passed >= confirmations;
}
