import { approach } from './approach';
import type { StepKind } from './kind';
import { mark } from './mark';
import type { Step } from './descriptions';
import { squareUp } from './squareUp';
import { straight } from './straight';
import { turn } from './turn';

/** What every kind of step does. */
export const STEP_KINDS: Record<Step['kind'], StepKind<Step>> = {
  straight,
  turn,
  approach,
  'square-up': squareUp,
  mark,
};

/** What is known of a step's kind. */
export const kindOfStep = ({ kind }: Pick<Step, 'kind'>): StepKind<Step> => STEP_KINDS[kind];
