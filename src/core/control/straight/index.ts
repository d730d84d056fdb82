import type { Robot } from '../../robot/robot';
import { controller, travelledM, type Controller, type Tick } from '../controller';
import { CREEP_M_PER_S } from '../settings';
import { expectedDriveS, profileAcceleration, type Profiled } from './profile';
import { steer, type Steered, type StraightStrategy } from './steering';

export interface Straight {
  /** Negative drives backwards. */
  distanceM: number;
  speedMPerS: number;
  keep: StraightStrategy;
  timeoutS: number;
  /** Left out: it speeds up and slows down within the motors' acceleration; false: it goes at its speed at once. */
  ramp?: boolean;
  /** It does not slow down before its end, and goes on from there as whatever comes next tells it. */
  rollsOut?: boolean;
  /** It rolls already as it begins. */
  fromMPerS?: number;
}

/** How long a straight should take, its rest included. */
export const expectedStraightS = expectedDriveS;

interface State extends Omit<Straight, 'ramp' | 'fromMPerS'>, Steered, Profiled {
  rollsOut: boolean;
  ramps: boolean;
  hasBegun: boolean;
  startS: number;
  startM: number;
}

const tick: Tick<State> = (state, now, wheels) => {
  const { distanceM } = state;
  const sign = Math.sign(distanceM);
  const travelled = travelledM(now);
  if (!state.hasBegun) {
    state.hasBegun = true;
    state.startS = now.timeS;
    state.startM = travelled;
  }
  const left = Math.abs(distanceM) - sign * (travelled - state.startM);
  if (left <= 0) return 'done';
  if (now.timeS - state.startS > state.timeoutS) return 'time';
  // Written out (`profiledSpeed`): numbers that pass through a function are made anew in every tick.
  const braking = state.rollsOut
    ? state.speedMPerS
    : Math.max(CREEP_M_PER_S, Math.sqrt(2 * state.accelMPerS2 * left) - state.rolledByLagMPerS);
  const faster = Math.max(CREEP_M_PER_S, state.commandedMPerS + state.rampMPerS);
  const profiled = Math.min(state.speedMPerS, faster, braking);
  const speed = state.ramps ? profiled : state.speedMPerS;
  state.commandedMPerS = speed;
  const half = steer(state.keep, state, now) / 2;
  wheels.leftMPerS = sign * speed - half;
  wheels.rightMPerS = sign * speed + half;
  return 'go on';
};

/**
 * Drive straight by the encoders' mean: speeding up and slowing down within a share of the motors'
 * acceleration, kept straight by one of three strategies. The difference between the wheels is the same
 * forwards and back: what turns the robot left does so either way.
 *
 * Source: trapezoidal velocity profile (Biagiotti and Melchiorri, Trajectory Planning, 2008, section 3.2), with
 * the braking curve brought forward by what the motors' lag lets the robot roll.
 */
export function straight(
  { distanceM, speedMPerS, keep, timeoutS, ramp = true, rollsOut = false, fromMPerS = 0 }: Straight,
  robot: Robot,
): Controller {
  const accelMPerS2 = profileAcceleration(robot);
  return controller<State>(tick, {
    distanceM,
    speedMPerS,
    keep,
    timeoutS,
    ramps: ramp,
    rollsOut,
    accelMPerS2,
    rampMPerS: accelMPerS2 * robot.loopPeriodS,
    rolledByLagMPerS: accelMPerS2 * robot.motors.lagS,
    target: null,
    hasBegun: false,
    startS: 0,
    startM: 0,
    commandedMPerS: fromMPerS,
  });
}
