import type { ClassFound } from '../detection/twoClasses';
import { twoClasses } from '../detection/twoClasses';
import type { Rate } from '../detection/errorRate';
import type { Readings } from '../detection/sampled';

/** How a reading of reflected light tells a line from the floor, in the sensor's own scale. */
export interface LineThreshold {
  lineIs: 'darker' | 'lighter';
  /** Of least error where the spreads are shown to differ, else the middle. */
  threshold: number;
  /** Off the line a reading has to pass this to count as the line; on it, that to count as the floor. */
  enter: number;
  leave: number;
  /** At which line and floor are mistaken equally often. */
  equalError: number;
  /** Deviations between line and floor. */
  separability: number;
  /** Of readings, half of them from the line. */
  errorRate: Rate;
  /** Of the line's readings those that are taken for the floor, and the other way round. */
  missRate: Rate;
  falseRate: Rate;
  spreadsDiffer: boolean;
  line: ClassFound;
  floor: ClassFound;
  /** In which the readings are shown; 0: none is seen. */
  step: number;
}

/**
 * The threshold between a line and the floor, from samples of both.
 *
 * @throws RangeError where either has no reading
 */
export function lineThreshold(line: Readings, floor: Readings): LineThreshold {
  const {
    firstIsLow: isDarker,
    low,
    high,
    toLow,
    toHigh,
    rates,
    ...found
  } = twoClasses(line, floor);
  const { threshold, equalError, separability, spreadsDiffer, step } = found;
  return {
    lineIs: isDarker ? 'darker' : 'lighter',
    threshold,
    enter: isDarker ? toLow : toHigh,
    leave: isDarker ? toHigh : toLow,
    equalError,
    separability,
    errorRate: rates.all,
    missRate: isDarker ? rates.low : rates.high,
    falseRate: isDarker ? rates.high : rates.low,
    spreadsDiffer,
    line: isDarker ? low : high,
    floor: isDarker ? high : low,
    step,
  };
}
