import type { Mission } from '../../../core/course/table';
import type { Step, StepOf } from '../../../core/steps/step';

/** What the sentence of a step is given: its values are edited in place. */
export interface StepFields<K extends Step['kind'] = Step['kind']> {
  step: StepOf<K>;
  missions: readonly Mission[];
  timeoutS: number;
  onChange(step: Step): void;
}
