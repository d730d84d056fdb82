import type { CalibrationValue } from './calibration';
import { isByEarlierMethod, kindOfCalibration } from './registry';

/**
 * What is said of figures that rest on calibrations by an earlier method, such as those of a series that began with
 * them: they keep what they were made with.
 *
 * @returns null where there are none
 */
export function earlierMethodText(values: readonly CalibrationValue[]): string | null {
  const names = values.filter(isByEarlierMethod).map(({ kind }) => kindOfCalibration(kind).name);
  return names.length === 0
    ? null
    : `What was expected rests on ${names.join(' and ')} by an earlier method, as they held when the series began: it claimed to know them better than its trials told.`;
}
