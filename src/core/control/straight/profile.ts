import type { Robot } from '../../robot/robot';
import { CREEP_M_PER_S, PROFILE_SHARE, SETTLE_S } from '../settings';

/** Duration of a trapezoid speed profile over a distance: at least triangular, 0 for no distance. */
export function profileDurationS(
  distanceM: number,
  speedMPerS: number,
  accelMPerS2: number,
): number {
  const distance = Math.abs(distanceM);
  const rampM = (speedMPerS * speedMPerS) / accelMPerS2;
  return distance >= rampM
    ? distance / speedMPerS + speedMPerS / accelMPerS2
    : 2 * Math.sqrt(distance / accelMPerS2);
}

/** What a drive within the motors' acceleration keeps; written out into the state of its controller. */
export interface Profiled {
  speedMPerS: number;
  accelMPerS2: number;
  /** So much faster from one tick to the next. */
  rampMPerS: number;
  /** What the motors' lag lets it roll faster than it is told. */
  rolledByLagMPerS: number;
  commandedMPerS: number;
}

/** How fast it goes now, with so much left of its way: speeding up, at its speed, or slowing down. */
export function profiledSpeed(state: Profiled, leftM: number): number {
  const braking = Math.max(
    CREEP_M_PER_S,
    Math.sqrt(2 * state.accelMPerS2 * leftM) - state.rolledByLagMPerS,
  );
  const faster = Math.max(CREEP_M_PER_S, state.commandedMPerS + state.rampMPerS);
  state.commandedMPerS = Math.min(state.speedMPerS, faster, braking);
  return state.commandedMPerS;
}

/** The acceleration that profiles use, so that the controller has room to correct. */
export const profileAcceleration = (robot: Robot): number =>
  PROFILE_SHARE * robot.motors.maxAccelerationMPerS2;

/** How long a drive should take, its rest included. */
export const expectedDriveS = (distanceM: number, speedMPerS: number, robot: Robot): number =>
  profileDurationS(distanceM, speedMPerS, profileAcceleration(robot)) + SETTLE_S;
