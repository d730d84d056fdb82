import type { EncoderSquare } from '../square/squareFit';
import type { DriveCalibration } from './calibration';

/** What a square path leaves to be reckoned with. */
export const driveFromSquare = (square: EncoderSquare): DriveCalibration => ({
  kind: 'drive',
  trackRatio: square.trackRatio,
  leftWheelFactor: square.leftWheelFactor,
  rightWheelFactor: square.rightWheelFactor,
});
