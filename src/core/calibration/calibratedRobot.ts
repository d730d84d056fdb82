import type { Robot } from '../robot';
import { withDriveCalibration } from './applyTurns';
import type { CalibrationValue } from './calibration';

/** The robot as it was measured: its record, with what the calibrations that hold say in place. */
export const calibratedRobot = (robot: Robot, values: readonly CalibrationValue[]): Robot =>
  values.reduce((measured, value) => {
    switch (value.kind) {
      case 'drive':
        return withDriveCalibration(measured, value);
      case 'gyro-drift':
        return { ...measured, gyro: { ...measured.gyro, driftRadPerS: value.driftRadPerS } };
      // Turns are in the commands of a route, not in its robot.
      case 'turns':
        return measured;
    }
  }, robot);
