import type { Robot } from '../robot';
import { withHeading } from '../units/ofRobot';
import { withDriveCalibration } from './applyDrive';
import type { CalibrationValue, TurnsCalibration } from './calibration';
import { withStops } from './withStops';

/** A robot as it was measured: what every simulation of it computes with. */
export interface FittedRobot {
  /** The record, with what was measured in place of what a ruler or nobody said. */
  robot: Robot;
  /** How far its turns go too far; null: nobody has measured it. */
  turns: TurnsCalibration | null;
}

/**
 * One fitted robot of a record and the calibrations that hold.
 *
 * Turns are fitted last: they are simulated on the measured track and wheels.
 */
export function fittedRobot(record: Robot, values: readonly CalibrationValue[]): FittedRobot {
  const drive = values.find((value) => value.kind === 'drive');
  const drift = values.find((value) => value.kind === 'gyro-drift');
  const turns = values.find((value) => value.kind === 'turns') ?? null;
  const sized = drive === undefined ? record : withDriveCalibration(record, drive);
  const drifting =
    drift === undefined ? sized : withHeading(sized, { driftRadPerS: drift.driftRadPerS });
  return { robot: turns === null ? drifting : withStops(drifting, turns), turns };
}
