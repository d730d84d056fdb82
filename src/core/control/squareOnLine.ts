import type { ReadingOf } from '../devices/channel';
import type { Robot } from '../robot/robot';
import { controller, travelledM, type Begun, type Controller, type Tick } from './controller';
import { PROFILE_SHARE } from './settings';

/** What looks down on one side, and which of its readings are the line's. */
export interface LookingDown {
  of: ReadingOf;
  /** A reading at it, or past it, is the line's. */
  enter: number;
}

export interface SquareOnLine {
  left: LookingDown | null;
  right: LookingDown | null;
  lineIs: 'darker' | 'lighter';
  speedMPerS: number;
  /** Of a second pass, backed off for first; null: there is none. */
  secondMPerS: number | null;
  backM: number;
  timeoutS: number;
}

type Pass = 'first' | 'back' | 'second';

interface State extends SquareOnLine, Begun {
  /** So much faster from one tick to the next. */
  rampMPerS: number;
  commandedMPerS: number;
  pass: Pass;
  leftOn: boolean;
  rightOn: boolean;
  /** Where it began to back off; null before. */
  backedFromM: number | null;
}

const isOn = ({ lineIs }: State, side: LookingDown, reading: number | null): boolean =>
  reading !== null && (lineIs === 'darker' ? reading <= side.enter : reading >= side.enter);

/** Each side goes on until its own sensor is on the line; true once both are. */
function towardsLine(
  state: State,
  { left, right }: { left: LookingDown; right: LookingDown },
  speedMPerS: number,
  now: Parameters<Tick<State>>[1],
  wheels: Parameters<Tick<State>>[2],
): boolean {
  state.leftOn ||= isOn(state, left, now.reading(left.of));
  state.rightOn ||= isOn(state, right, now.reading(right.of));
  const speed = Math.min(speedMPerS, state.commandedMPerS + state.rampMPerS);
  state.commandedMPerS = speed;
  wheels.leftMPerS = state.leftOn ? 0 : speed;
  wheels.rightMPerS = state.rightOn ? 0 : speed;
  return state.leftOn && state.rightOn;
}

function begin(state: State, pass: Pass): void {
  state.pass = pass;
  state.leftOn = false;
  state.rightOn = false;
  state.commandedMPerS = 0;
}

const tick: Tick<State> = (state, now, wheels) => {
  const { left, right, speedMPerS, secondMPerS } = state;
  if (left === null || right === null) return 'no-sensor';
  state.startS ??= now.timeS;
  if (now.timeS - state.startS > state.timeoutS) return 'time';
  if (state.pass === 'back') {
    state.backedFromM ??= travelledM(now);
    if (state.backedFromM - travelledM(now) < state.backM) {
      wheels.leftMPerS = -speedMPerS;
      wheels.rightMPerS = -speedMPerS;
      return 'go on';
    }
    begin(state, 'second');
  }
  const speed = state.pass === 'second' ? (secondMPerS ?? speedMPerS) : speedMPerS;
  if (!towardsLine(state, { left, right }, speed, now, wheels)) return 'go on';
  if (state.pass === 'second' || secondMPerS === null) return 'done';
  begin(state, 'back');
  return 'go on';
};

/**
 * Square on a line by two sensors: each side drives until its own is on the line, and stands; then, if asked, a little
 * back and on again, slower.
 *
 * Derivation: two points on a straight line, the sensors' distance apart, square the robot on it.
 */
export const squareOnLine = (
  { left, right, lineIs, speedMPerS, secondMPerS, backM, timeoutS }: SquareOnLine,
  robot: Robot,
): Controller =>
  controller<State>(tick, {
    left,
    right,
    lineIs,
    speedMPerS,
    secondMPerS,
    backM,
    timeoutS,
    rampMPerS: PROFILE_SHARE * robot.motors.maxAccelerationMPerS2 * robot.loopPeriodS,
    startS: null,
    commandedMPerS: 0,
    pass: 'first',
    leftOn: false,
    rightOn: false,
    backedFromM: null,
  });
