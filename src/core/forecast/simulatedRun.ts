import type { Failure } from '../control/controller';
import type { Pose } from '../geometry/pose';
import type { StepPath } from '../steps/tree';
import type { Marked } from '../table/targets';

export interface RunEnd extends Pose {
  timeS: number;
  /** Index of the step that failed in the list of the route (0 for the first), or null. */
  failedStep: number | null;
  /** Where it stands, within that one perhaps; and by its number: "4.2". */
  failedPath: StepPath | null;
  failedNumber: string | null;
  /** What stopped it. */
  failure: Failure | null;
}

/** The true pose when the robot begins to work a mission, or a part of it; in passing, as it comes nearest to it. */
export interface MarkPose extends Pose, Marked {
  timeS: number;
}

/** What a question was answered with, by the number of its step. */
export interface Answered {
  number: string;
  answer: string;
}

export interface SimulatedRun {
  end: RunEnd;
  marks: MarkPose[];
  answers: Answered[];
}
