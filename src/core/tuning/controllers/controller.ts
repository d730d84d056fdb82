import type { Robot } from '../../robot/robot';
import type { GainJudgement } from '../judge';
import type { TunedId } from '../../robot/tunedIds';
import type { Experiment, WatchedTrace } from '../simulatedTrace';

/** A controller whose gain is tuned; what is said of it stands in `shown.ts`, which pages that only show it read. */
export interface TunedController {
  id: TunedId;
  /** What a robot lacks for it, in a sentence; null where nothing is missing. */
  lack(robot: Robot): string | null;
  /** A disturbance, and the controller that is to bring the robot back; at the usual speed where none is said. */
  experiment(robot: Robot, gain: number, speed?: number): Experiment;
  /** @returns null for a trace too short to tell */
  judge(robot: Robot, trace: WatchedTrace, speed?: number): GainJudgement | null;
}

/** Every robot has what this needs. */
export const lacksNothing = (): string | null => null;
