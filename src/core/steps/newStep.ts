import { isOwner, type Step } from './descriptions';
import type { NewStepPlace } from './kind';
import { offerOf } from './registry';

/** A step as it is when a coach adds it; one that owns steps owns none yet. */
export function newStep(kind: Step['kind'], id: string, place: NewStepPlace): Step {
  const step = { ...offerOf({ kind }).asAdded(place), id } as Step;
  return isOwner(step) ? { ...step, steps: [] } : step;
}
