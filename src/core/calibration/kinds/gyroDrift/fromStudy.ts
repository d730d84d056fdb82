import type { StillCheck } from '../../../gyro/still/stillCheck';
import type { CalibrationOf } from '../../calibration';

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

const TELLS_NO_DRIFT: readonly StillCheck['verdict'][] = [
  'not-still',
  'not-enough-still-time',
  'check-again',
];

/** Whether a check measured the drift, whatever is done about it: it lay still, long enough, and not too soon. */
export const measuresDrift = ({ verdict }: Pick<StillCheck, 'verdict'>): boolean =>
  !TELLS_NO_DRIFT.includes(verdict);

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
}: DriftFound): CalibrationOf<'gyro-drift'> => ({
  kind: 'gyro-drift',
  driftRadPerS,
  low95,
  high95,
  nextRunLow95,
  nextRunHigh95,
  walkRadPerSqrtS: isWalkBound === false ? randomWalkRadPerSqrtS : null,
  wanderRadPerS,
});
