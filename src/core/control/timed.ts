import { controller, type Begun, type Controller, type Tick } from './controller';

export interface Timed {
  leftMPerS: number;
  rightMPerS: number;
  durationS: number;
}

interface State extends Timed, Begun {}

/** A loop's period is no whole number of binary fractions. */
const ROUNDING_S = 1e-9;

const tick: Tick<State> = (state, now, wheels) => {
  state.startS ??= now.timeS;
  if (now.timeS - state.startS >= state.durationS - ROUNDING_S) return 'done';
  wheels.leftMPerS = state.leftMPerS;
  wheels.rightMPerS = state.rightMPerS;
  return 'go on';
};

/** Both motors told a speed each, for a time: nothing is steered, and the motors speed up as fast as they can. */
export const timed = ({ leftMPerS, rightMPerS, durationS }: Timed): Controller =>
  controller<State>(tick, { leftMPerS, rightMPerS, durationS, startS: null });
