import type { PlannedStep } from '../../course/plan';
import type { Robot } from '../../robot/robot';
import type { Step } from '../../steps/descriptions';
import type { StepPath } from '../../steps/tree';
import type { Table } from '../../table/table';

/** Something about a step that a coach should know before any run. */
export interface CheckFinding {
  /** Of the step, as plans have it: "4.2"; and where it stands. */
  number: string;
  path: StepPath;
  problem: string;
  sentence: string;
  /** What mends it in one press. */
  mend?: Mend;
}

/** The step as it would be then, or null where it is taken out; and another one before it. */
export interface Mend {
  words: string;
  step: Step | null;
  before?: Step;
}

/** What a check says of a planned step. */
export type Check = (planned: PlannedStep, about: About) => Omit<CheckFinding, 'number' | 'path'>[];

/** What a step is judged beside. */
interface About {
  plan: readonly PlannedStep[];
  robot: Robot;
  table: Table;
}
