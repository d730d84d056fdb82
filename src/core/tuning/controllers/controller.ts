import type { Robot } from '../../robot';
import type { GainJudgement } from '../judge';
import type { TunedId } from './shown';
import type { Experiment, WatchedTrace } from '../simulatedTrace';

/** A controller whose gain is tuned; what is said of it stands in `shown.ts`, which pages that only show it read. */
export interface TunedController {
  id: TunedId;
  /** What a robot lacks for it, in a sentence; null where nothing is missing. */
  lack(robot: Robot): string | null;
  /** The speeds at which a gain is tried: of a drive m/s, of a turn rad/s; the usual one where none is said. */
  speeds: { usual: number; others: readonly number[]; say(speed: number): string };
  /** A disturbance, and the controller that is to bring the robot back. */
  experiment(robot: Robot, gain: number, speed?: number): Experiment;
  /** @returns null for a trace too short to tell */
  judge(robot: Robot, trace: WatchedTrace, speed?: number): GainJudgement | null;
}

/** Every robot has what this needs. */
export const lacksNothing = (): string | null => null;
