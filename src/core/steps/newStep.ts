import type { Step } from './descriptions';
import type { NewStepPlace } from './kind';
import { offerOf } from './registry';

/** A step as it is when a coach adds it. */
export function newStep(kind: Step['kind'], id: string, place: Omit<NewStepPlace, 'id'>): Step {
  return { ...offerOf({ kind }).asAdded({ ...place, id }), id } as Step;
}
