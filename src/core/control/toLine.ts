import type { ReadingOf } from '../devices/channel';
import type { Robot } from '../robot/robot';
import { controller, type Begun, type Controller, type Tick } from './controller';
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
}

interface State extends ToLine, Begun, Steered {
  /** So much faster from one tick to the next. */
  rampMPerS: number;
  commandedMPerS: number;
  /** Null until something was read: what it stands on at first is no line that it came to. */
  isOnLine: boolean | null;
  seen: number;
}

/** Whether it is on the line by this reading, with what it was before. */
function onLine({ enter, leave, lineIs, isOnLine }: State, reading: number): boolean {
  const limit = isOnLine === true ? leave : enter;
  return lineIs === 'darker' ? reading <= limit : reading >= limit;
}

const tick: Tick<State> = (state, now, wheels) => {
  if (state.of === null) return 'no-sensor';
  state.startS ??= now.timeS;
  const reading = now.reading(state.of);
  if (reading !== null) {
    const before = state.isOnLine;
    state.isOnLine = onLine(state, reading);
    const cameOn = before === false && state.isOnLine;
    const cameOff = before === true && !state.isOnLine;
    if (state.on === 'entering' ? cameOn : cameOff) state.seen += 1;
    if (state.seen >= state.count) return 'done';
  }
  if (now.timeS - state.startS > state.timeoutS) return 'time';
  const sign = Math.sign(state.speedMPerS);
  const speed = Math.min(Math.abs(state.speedMPerS), state.commandedMPerS + state.rampMPerS);
  state.commandedMPerS = speed;
  const half = steer(state.keep, state, now) / 2;
  wheels.leftMPerS = sign * speed - half;
  wheels.rightMPerS = sign * speed + half;
  return 'go on';
};

/**
 * Drive until a sensor that looks down has come to, or over, so many lines. Between the two thresholds nothing changes
 * (hysteresis), so that noise at an edge is no second line; a line that it stands on at the start does not count as one
 * that it came to.
 *
 * Source: a Schmitt trigger's hysteresis, Horowitz and Hill, The Art of Electronics, 3rd ed., 2015, section 4.3.2.
 */
export const toLine = (
  { of, enter, leave, lineIs, count, on, speedMPerS, keep, timeoutS }: ToLine,
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
    commandedMPerS: 0,
    isOnLine: null,
    seen: 0,
  });
