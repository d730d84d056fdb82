import type { Robot } from '../robot/robot';
import type { CalibrationValue } from './calibration';
import { calibrationOf } from './find';
import type { TurnsCalibration } from '../calibrationValues/turns';
import { CALIBRATION_KINDS } from './registry';

/** A robot as it was measured: what every simulation of it computes with. */
export interface FittedRobot {
  /** The record, with what was measured in place of what a ruler or nobody said. */
  robot: Robot;
  /** How far its turns go too far; null: nobody has measured it. */
  turns: TurnsCalibration | null;
}

/**
 * One fitted robot of a record and the calibrations that hold, in the working order of their kinds: turns
 * are simulated on the measured track and wheels.
 */
export function fittedRobot(record: Robot, values: readonly CalibrationValue[]): FittedRobot {
  const robot = CALIBRATION_KINDS.reduce(
    (fitted, { kind, fit }) =>
      values
        .filter((value) => value.kind === kind)
        .reduce((so, value) => fit(so, value, values), fitted),
    record,
  );
  return { robot, turns: calibrationOf(values, 'turns') };
}
