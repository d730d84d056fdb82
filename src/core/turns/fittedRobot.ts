import type { TurnsCalibration } from '../calibration/calibration';
import type { Robot } from '../robot';

/**
 * The robot with the lag and braking that its turn trials told, in place of the record's.
 *
 * The lag of a turn is the sensor's latency, half a sensor period, half a loop, and the motors' lag.
 */
export function fittedRobot(robot: Robot, turns: TurnsCalibration | null): Robot {
  if (turns === null) return robot;
  const { gyro, motors } = robot;
  const sensing = gyro.latencyS + gyro.periodS / 2 + robot.loopPeriodS / 2;
  const lagS = turns.lagS === null ? motors.lagS : Math.max(0.004, turns.lagS - sensing);
  const maxAccelerationMPerS2 =
    turns.brakingRadPerS2 === null
      ? motors.maxAccelerationMPerS2
      : Math.min(50, (turns.brakingRadPerS2 * robot.trackM) / 2);
  return { ...robot, motors: { ...motors, lagS, maxAccelerationMPerS2 } };
}
