import type { StillCheck } from '../gyro/stillCheck';
import type { CalibrationValue } from './calibration';

/** The drift that a still check found, as a calibration. */
export const driftFromCheck = ({
  driftRadPerS,
  low95,
  high95,
}: Pick<StillCheck, 'driftRadPerS' | 'low95' | 'high95'>): CalibrationValue => ({
  kind: 'gyro-drift',
  driftRadPerS,
  low95,
  high95,
});
