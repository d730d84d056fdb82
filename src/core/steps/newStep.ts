import type { NewStepPlace } from './kind';
import { kindOfStep } from './registry';
import type { Step } from './step';

/** A step as it is when a coach adds it. */
export const newStep = (kind: Step['kind'], id: string, place: NewStepPlace): Step =>
  ({ ...kindOfStep({ kind }).asAdded(place), id }) as Step;
