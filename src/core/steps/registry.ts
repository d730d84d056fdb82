import { approach } from './approach';
import type { StepKind } from './kind';
import { mark } from './mark';
import type { Step } from './step';
import { squareUp } from './squareUp';
import { straight } from './straight';
import { turn } from './turn';

/** Every kind of step, in the order in which they are offered. */
export const STEP_KINDS: Record<Step['kind'], StepKind<Step>> = {
  straight,
  turn,
  approach,
  'square-up': squareUp,
  mark,
};

/** What is known of a step's kind. */
export const kindOfStep = ({ kind }: Pick<Step, 'kind'>): StepKind<Step> => STEP_KINDS[kind];

/** The mission that a step works, or null. */
export const missionOfStep = (step: Step): string | null => kindOfStep(step).missionId(step);
