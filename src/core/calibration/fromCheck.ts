import type { StillCheck } from '../gyro/stillCheck';
import type { CalibrationValue } from './calibration';

type DriftFound = Pick<
  StillCheck,
  | 'driftRadPerS'
  | 'low95'
  | 'high95'
  | 'nextRunLow95'
  | 'nextRunHigh95'
  | 'randomWalkRadPerSqrtS'
  | 'isWalkBound'
  | 'wanderRadPerS'
>;

/** Whether a check measured the drift, whatever is done about it: it lay still, and for long enough. */
export const measuresDrift = ({ verdict }: Pick<StillCheck, 'verdict'>): boolean =>
  verdict !== 'not-still' && verdict !== 'not-enough-still-time';

/** The drift that a still check found, and how it scatters, as a calibration. */
export const driftFromCheck = ({
  driftRadPerS,
  low95,
  high95,
  nextRunLow95,
  nextRunHigh95,
  randomWalkRadPerSqrtS,
  isWalkBound,
  wanderRadPerS,
}: DriftFound): CalibrationValue => ({
  kind: 'gyro-drift',
  driftRadPerS,
  low95,
  high95,
  nextRunLow95,
  nextRunHigh95,
  walkRadPerSqrtS: isWalkBound === false ? randomWalkRadPerSqrtS : null,
  wanderRadPerS,
});
