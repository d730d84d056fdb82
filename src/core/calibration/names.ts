import type { CalibrationKind } from './calibration';

export const CALIBRATION_KINDS: readonly CalibrationKind[] = ['gyro-drift', 'turns', 'drive'];

export const CALIBRATION_NAMES: Record<CalibrationKind, string> = {
  'gyro-drift': 'gyro drift',
  turns: 'turns',
  drive: 'track and wheels',
};
