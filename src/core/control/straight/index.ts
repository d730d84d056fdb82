import type { Robot } from '../../robot/robot';
import { controller, travelledM, type Controller, type Law } from '../controller';
import { CREEP_M_PER_S, PROFILE_SHARE, SETTLE_S } from '../settings';
import { profileDurationS } from './profile';
import { steer, unsteered, type Steered, type StraightStrategy } from './steering';

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

interface Told extends Straight {
  accelMPerS2: number;
  /** So much faster from one tick to the next. */
  rampMPerS: number;
  /** What the motors' lag lets it roll faster than it is told. */
  rolledByLagMPerS: number;
}

interface Kept extends Steered {
  start: { timeS: number; travelledM: number } | null;
  speedMPerS: number;
}

/**
 * Drive straight by the encoders' mean: speeding up and slowing down within a share of the motors'
 * acceleration, kept straight by one of three strategies. The difference between the wheels is the same
 * forwards and back: what turns the robot left does so either way.
 *
 * Source: trapezoidal velocity profile (Biagiotti and Melchiorri, Trajectory Planning, 2008, section 3.2), with
 * the braking curve brought forward by what the motors' lag lets the robot roll.
 */
const LAW: Law<Told, Kept> = {
  begin: () => ({ ...unsteered(), start: null, speedMPerS: 0 }),
  tick(told, kept, now, wheels) {
    const { distanceM, speedMPerS, keep, timeoutS, accelMPerS2, rampMPerS, rolledByLagMPerS } =
      told;
    const sign = Math.sign(distanceM);
    const travelled = travelledM(now);
    kept.start ??= { timeS: now.timeS, travelledM: travelled };
    const left = Math.abs(distanceM) - sign * (travelled - kept.start.travelledM);
    if (left <= 0) return 'done';
    if (now.timeS - kept.start.timeS > timeoutS) return 'time';
    const braking = Math.max(CREEP_M_PER_S, Math.sqrt(2 * accelMPerS2 * left) - rolledByLagMPerS);
    const faster = Math.max(CREEP_M_PER_S, kept.speedMPerS + rampMPerS);
    const speed = Math.min(speedMPerS, faster, braking);
    kept.speedMPerS = speed;
    const half = steer(keep, kept, now) / 2;
    wheels.leftMPerS = sign * speed - half;
    wheels.rightMPerS = sign * speed + half;
    return 'go on';
  },
};

export function straight(told: Straight, robot: Robot): Controller {
  const accelMPerS2 = accelerationOf(robot);
  return controller(LAW, {
    ...told,
    accelMPerS2,
    rampMPerS: accelMPerS2 * robot.loopPeriodS,
    rolledByLagMPerS: accelMPerS2 * robot.motors.lagS,
  });
}
