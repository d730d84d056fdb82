import type { LightThresholdCalibration } from '../../../calibrationValues/lightThreshold';
import type { LineThreshold } from '../../../light/lineThreshold';

/** Where readings were taken, and in what the sensor shows them. */
export interface ReadWhere {
  venue: string;
  lighting: string;
  full: number | null;
  heightM: number | null;
}

/** A threshold to be computed with; null where single readings of either do not tell how they spread. */
export function calibrationFromThreshold(
  found: LineThreshold,
  where: ReadWhere,
): LightThresholdCalibration | null {
  const { lineIs, threshold, enter, leave, line, floor, step, errorRate } = found;
  if (!Number.isFinite(errorRate.value)) return null;
  return {
    kind: 'light-threshold',
    ...where,
    lineIs,
    threshold,
    enter,
    leave,
    lineReads: line.mean,
    lineSd: line.sd,
    floorReads: floor.mean,
    floorSd: floor.sd,
    readingSd: Math.max(line.readingSd, floor.readingSd),
    step,
    errorRate: errorRate.value,
    errorHigh95: errorRate.high95,
    n: line.n + floor.n,
  };
}
