import type { ReadingOf } from '../devices/channel';
import { controller, halt, type Begun, type Controller, type Tick } from './controller';

/** A motor of an attachment that was told where to go: the robot stands until it is there. */
export interface ArmMove {
  /** Its angle; null: the robot has no such motor. */
  of: ReadingOf | null;
  /** In the unit of that reading. */
  target: number;
  tolerance: number;
  timeoutS: number;
}

interface State extends ArmMove, Begun {}

const tick: Tick<State> = (state, now, wheels) => {
  halt(wheels);
  if (state.of === null) return 'no-sensor';
  state.startS ??= now.timeS;
  const reading = now.reading(state.of);
  if (reading !== null && Math.abs(reading - state.target) <= state.tolerance) return 'done';
  return now.timeS - state.startS > state.timeoutS ? 'time' : 'go on';
};

/** Stand until an attachment's motor is where it was told to go. */
export const armMove = ({ of, target, tolerance, timeoutS }: ArmMove): Controller =>
  controller<State>(tick, { of, target, tolerance, timeoutS, startS: null });
