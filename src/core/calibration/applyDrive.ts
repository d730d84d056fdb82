import type { Robot } from '../robot';
import type { DriveCalibration } from './calibration';

/** The robot as measured: its true track and unequal wheels in place of the ruler's. */
export const withDriveCalibration = (robot: Robot, drive: DriveCalibration): Robot => ({
  ...robot,
  trackM: robot.trackM * drive.trackRatio,
  errors: {
    ...robot.errors,
    trackScaleError: 0,
    wheelDifference: drive.rightWheelFactor / drive.leftWheelFactor - 1,
  },
});
