import type { Robot } from '../robot';
import { withDriveCalibration } from './applyTurns';
import type { CalibrationValue, TurnsCalibration } from './calibration';

/** A robot as it was measured: what every simulation of it reckons with. */
export interface FittedRobot {
  /** The record, with what was measured in place of what a ruler or nobody said. */
  robot: Robot;
  /** How far its turns go too far; null: nobody has measured it. */
  turns: TurnsCalibration | null;
}

const FASTEST_BRAKING_M_PER_S2 = 50;
const LEAST_LAG_S = 0.004;

/**
 * The lag of a turn is the sensor's latency, half a sensor period, half a loop, and the motors' lag: what is
 * left for the motors. Its braking is that of the wheels.
 */
function withTurns(robot: Robot, { lagS, brakingRadPerS2 }: TurnsCalibration): Robot {
  const { gyro, motors } = robot;
  const sensing = gyro.latencyS + gyro.periodS / 2 + robot.loopPeriodS / 2;
  return {
    ...robot,
    motors: {
      ...motors,
      lagS: lagS === null ? motors.lagS : Math.max(LEAST_LAG_S, lagS - sensing),
      maxAccelerationMPerS2:
        brakingRadPerS2 === null
          ? motors.maxAccelerationMPerS2
          : Math.min(FASTEST_BRAKING_M_PER_S2, (brakingRadPerS2 * robot.trackM) / 2),
    },
  };
}

/**
 * One fitted robot of a record and the calibrations that hold.
 *
 * Turns are fitted last: the track that their braking is reckoned with is the measured one.
 */
export function fittedRobot(record: Robot, values: readonly CalibrationValue[]): FittedRobot {
  const drive = values.find((value) => value.kind === 'drive');
  const drift = values.find((value) => value.kind === 'gyro-drift');
  const turns = values.find((value) => value.kind === 'turns') ?? null;
  const sized = drive === undefined ? record : withDriveCalibration(record, drive);
  const drifting =
    drift === undefined
      ? sized
      : { ...sized, gyro: { ...sized.gyro, driftRadPerS: drift.driftRadPerS } };
  return { robot: turns === null ? drifting : withTurns(drifting, turns), turns };
}
