import type { EncoderSquare } from '../../../square/squareFit';
import type { DriveCalibration } from '../../../calibrationValues/drive';

/** As a normal interval of 95 % has it. */
const standardError = (low95: number, high95: number): number => (high95 - low95) / (2 * 1.96);

/** What a square path leaves to be computed with. */
export const driveFromSquare = (square: EncoderSquare): DriveCalibration => ({
  kind: 'drive',
  trackRatio: square.trackRatio,
  leftWheelFactor: square.leftWheelFactor,
  rightWheelFactor: square.rightWheelFactor,
  trackRatioSe: standardError(square.trackRatioLow95, square.trackRatioHigh95),
  wheelRatioSe: standardError(square.diameterRatioLow95, square.diameterRatioHigh95),
});
