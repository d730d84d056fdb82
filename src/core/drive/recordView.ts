import type { Robot } from '../robot/robot';
import { convert, roundingLeftOverDegrees, type Conversion } from '../robot/conversions';

/** One figure of the drive told in all three ways, with what whole encoder counts leave over. */
export interface ConversionView extends Conversion {
  /** Motor degrees left over after rounding to whole counts, for the straight drive. */
  leftOverDegrees: number;
  /** What that left-over is in distance. */
  leftOverM: number;
  rotations: number;
}

/** A conversion as the robot's page shows it; `given` names exactly one figure. */
export function conversionView(
  robot: Robot,
  given: { distanceM: number } | { headingRad: number } | { motorDegrees: number },
): ConversionView {
  const { wheelDiameterM, trackM, gearRatio, encoderCountsPerMotorDegree } = robot;
  const drive = { wheelDiameterM, trackM, gearRatio, encoderCountsPerMotorDegree };
  const conversion = convert({ ...drive, ...given });
  const leftOverDegrees = roundingLeftOverDegrees(drive, conversion.straight.motorDegrees);
  return {
    ...conversion,
    leftOverDegrees,
    leftOverM: leftOverDegrees * encoderCountsPerMotorDegree * conversion.encoderStepM,
    rotations: conversion.straight.motorDegrees / 360,
  };
}
