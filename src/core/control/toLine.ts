import type { ReadingOf } from '../devices/channel';
import type { Robot } from '../robot/robot';
import { controller, type Begun, type Controller, type Tick } from './controller';
import { seeLine, type LinesSeen } from './linesSeen';
import { PROFILE_SHARE } from './settings';
import { steer, type Steered, type StraightStrategy } from './straight/steering';

export interface ToLine {
  /** Of what looks down; null where the robot has none. */
  of: ReadingOf | null;
  /** A reading past `enter` is the line's; from then on it stays so until one is past `leave`. */
  enter: number;
  leave: number;
  lineIs: 'darker' | 'lighter';
  /** It stops at so many lines, as it goes onto the last or comes off it. */
  count: number;
  on: 'entering' | 'leaving';
  /** Negative drives backwards. */
  speedMPerS: number;
  keep: StraightStrategy;
  timeoutS: number;
  /** It rolls already as it begins. */
  fromMPerS?: number;
}

interface State extends Omit<ToLine, 'fromMPerS'>, LinesSeen, Begun, Steered {
  /** So much faster from one tick to the next. */
  rampMPerS: number;
  commandedMPerS: number;
}

const tick: Tick<State> = (state, now, wheels) => {
  if (state.of === null) return 'no-sensor';
  state.startS ??= now.timeS;
  seeLine(state, now.reading(state.of));
  if (state.seen >= state.count) return 'done';
  if (now.timeS - state.startS > state.timeoutS) return 'time';
  const sign = Math.sign(state.speedMPerS);
  const speed = Math.min(Math.abs(state.speedMPerS), state.commandedMPerS + state.rampMPerS);
  state.commandedMPerS = speed;
  const half = steer(state.keep, state, now) / 2;
  wheels.leftMPerS = sign * speed - half;
  wheels.rightMPerS = sign * speed + half;
  return 'go on';
};

/** Drive until a sensor that looks down has come to, or over, so many lines; how they are told apart: `linesSeen.ts`. */
export const toLine = (
  { of, enter, leave, lineIs, count, on, speedMPerS, keep, timeoutS, fromMPerS = 0 }: ToLine,
  robot: Robot,
): Controller =>
  controller<State>(tick, {
    of,
    enter,
    leave,
    lineIs,
    count,
    on,
    speedMPerS,
    keep,
    timeoutS,
    rampMPerS: PROFILE_SHARE * robot.motors.maxAccelerationMPerS2 * robot.loopPeriodS,
    startS: null,
    target: null,
    commandedMPerS: fromMPerS,
    isOnLine: null,
    seen: 0,
  });
