import { wrap } from '../geometry/angle';
import type { Robot } from '../robot/robot';
import { controller, travelledM, type Controller, type Tick } from './controller';
import { SETTLE_S } from './settings';
import {
  profileAcceleration,
  profileDurationS,
  profiledSpeed,
  type Profiled,
} from './straight/profile';

export interface Arc {
  /** Of the way that the middle of the axle makes. */
  radiusM: number;
  /** By so much the heading changes, left positive. */
  angleRad: number;
  /** Negative drives backwards. */
  speedMPerS: number;
  gainMPerSPerRad: number;
  /** The reading of the heading at which it is planned to begin; null: that with which it begins. */
  fromReadingRad: number | null;
  timeoutS: number;
  /** It drives on by so much, along the same arc. */
  lateM?: number;
}

interface State extends Profiled {
  sign: number;
  /** In which it turns by its angle, and after which it stops. */
  lengthM: number;
  endM: number;
  angleRad: number;
  gainMPerSPerRad: number;
  /** Null before it begins, where it is not planned. */
  fromReadingRad: number | null;
  timeoutS: number;
  trackM: number;
  lagS: number;
  /** How fast it rolls by now, as its lag lets it follow what it is told, and how much of that in a loop. */
  rollingMPerS: number;
  followsPerLoop: number;
  hasBegun: boolean;
  startS: number;
  startM: number;
}

const tick: Tick<State> = (state, now, wheels) => {
  const { sign, lengthM, angleRad, trackM } = state;
  const travelled = travelledM(now);
  if (!state.hasBegun) {
    state.hasBegun = true;
    state.startS = now.timeS;
    state.startM = travelled;
    state.fromReadingRad ??= now.headingRad;
  }
  const doneM = sign * (travelled - state.startM);
  // What its lag lets it roll after that is part of the way: on an arc it would turn the robot further.
  if (doneM >= state.endM - state.rollingMPerS * state.lagS) return 'done';
  if (now.timeS - state.startS > state.timeoutS) return 'time';
  const speed = profiledSpeed(state, Math.max(0, state.endM - doneM));
  state.rollingMPerS += (speed - state.rollingMPerS) * state.followsPerLoop;
  const wantedRad = (state.fromReadingRad ?? 0) + (angleRad * doneM) / lengthM;
  const half =
    ((angleRad / lengthM) * speed * trackM +
      state.gainMPerSPerRad * wrap(wantedRad - now.headingRad)) /
    2;
  wheels.leftMPerS = sign * speed - half;
  wheels.rightMPerS = sign * speed + half;
  return 'go on';
};

/** How much faster the outer wheel goes than the axle's middle. */
const outerShare = (radiusM: number, { trackM }: Robot): number => 1 + trackM / (2 * radiusM);

/** How long an arc should take, its rest included: its outer wheel keeps within what the motors can do. */
export function expectedArcS(
  { radiusM, angleRad, speedMPerS }: Pick<Arc, 'radiusM' | 'angleRad' | 'speedMPerS'>,
  robot: Robot,
): number {
  const outer = outerShare(radiusM, robot);
  const fastest = Math.min(speedMPerS, robot.motors.maxSpeedMPerS / outer);
  const lengthM = radiusM * Math.abs(angleRad);
  return profileDurationS(lengthM, fastest, profileAcceleration(robot) / outer) + SETTLE_S;
}

/**
 * Drive along an arc by the encoders' mean, within the motors' acceleration; the heading is held to what the way that
 * it has made wants it to be.
 *
 * Source: kinematics of the differential drive (Siegwart, Nourbakhsh and Scaramuzza, Introduction to Autonomous Mobile
 * Robots, 2nd ed., 2011, section 3.2), with the heading fed forward and corrected in proportion.
 */
export function arc(
  { radiusM, angleRad, speedMPerS, gainMPerSPerRad, fromReadingRad, timeoutS, lateM = 0 }: Arc,
  robot: Robot,
): Controller {
  const outer = outerShare(radiusM, robot);
  const accelMPerS2 = profileAcceleration(robot) / outer;
  return controller<State>(tick, {
    sign: Math.sign(speedMPerS),
    lengthM: radiusM * Math.abs(angleRad),
    endM: radiusM * Math.abs(angleRad) + lateM,
    angleRad,
    gainMPerSPerRad,
    fromReadingRad,
    timeoutS,
    trackM: robot.trackM,
    lagS: robot.motors.lagS,
    rollingMPerS: 0,
    followsPerLoop: 1 - Math.exp(-robot.loopPeriodS / robot.motors.lagS),
    speedMPerS: Math.min(Math.abs(speedMPerS), robot.motors.maxSpeedMPerS / outer),
    accelMPerS2,
    rampMPerS: accelMPerS2 * robot.loopPeriodS,
    rolledByLagMPerS: accelMPerS2 * robot.motors.lagS,
    commandedMPerS: 0,
    hasBegun: false,
    startS: 0,
    startM: 0,
  });
}
