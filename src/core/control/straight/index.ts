import type { Robot } from '../../robot/robot';
import { travelledM, type Controller } from '../controller';
import { CREEP_M_PER_S, PROFILE_SHARE, SETTLE_S } from '../settings';
import { profileDurationS } from './profile';
import { steeringOf, type StraightStrategy } from './steering';

export interface Straight {
  /** Negative drives backwards. */
  distanceM: number;
  speedMPerS: number;
  keep: StraightStrategy;
  timeoutS: number;
}

const accelerationOf = (robot: Robot) => PROFILE_SHARE * robot.motors.maxAccelerationMPerS2;

/** How long a straight should take, its rest included. */
export const expectedStraightS = (distanceM: number, speedMPerS: number, robot: Robot): number =>
  profileDurationS(distanceM, speedMPerS, accelerationOf(robot)) + SETTLE_S;

/**
 * Drive straight by the encoders' mean: speeding up and slowing down within a share of the motors'
 * acceleration, kept straight by one of three strategies. The difference between the wheels is the same
 * forwards and back: what turns the robot left does so either way.
 *
 * Source: trapezoidal velocity profile (Biagiotti and Melchiorri, Trajectory Planning, 2008, section 3.2), with
 * the braking curve brought forward by what the motors' lag lets the robot roll.
 */
export function straight(
  { distanceM, speedMPerS, keep, timeoutS }: Straight,
  robot: Robot,
): Controller {
  const accel = accelerationOf(robot);
  const rolledByLag = accel * robot.motors.lagS;
  const sign = Math.sign(distanceM);
  const steer = steeringOf(keep);
  let start: { timeS: number; travelledM: number } | null = null;
  const profile = { speed: 0 };
  return (now, wheels) => {
    const travelled = travelledM(now);
    start ??= { timeS: now.timeS, travelledM: travelled };
    const left = Math.abs(distanceM) - sign * (travelled - start.travelledM);
    if (left <= 0) return 'done';
    if (now.timeS - start.timeS > timeoutS) return 'time';
    const braking = Math.max(CREEP_M_PER_S, Math.sqrt(2 * accel * left) - rolledByLag);
    const faster = Math.max(CREEP_M_PER_S, profile.speed + accel * robot.loopPeriodS);
    const speed = Math.min(speedMPerS, faster, braking);
    profile.speed = speed;
    const half = steer(now) / 2;
    wheels.leftMPerS = sign * speed - half;
    wheels.rightMPerS = sign * speed + half;
    return 'go on';
  };
}
