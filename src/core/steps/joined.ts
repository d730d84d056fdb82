import { isOwner, type Step } from './descriptions';
import { kindOfStep } from './registry';

/** How a motion hangs together with those before and after it. */
export interface Joined {
  /** It does not stop at its end: the next one takes it on as it rolls. */
  rollsOut?: true;
  /** It is begun at this speed, m/s, in its own direction: the one before did not stop. */
  fromMPerS?: number;
}

const wayOf = (step: Step | undefined): number =>
  step === undefined || isOwner(step) ? 0 : (kindOfStep(step).rollsIn?.(step) ?? 0);

/** How fast a step goes on into the next one of its list, negative backwards; 0 where it stops. */
function rollingInto(step: Step | undefined, next: Step | undefined): number {
  if (step === undefined || isOwner(step)) return 0;
  const mPerS = kindOfStep(step).rollsOut?.(step) ?? 0;
  return mPerS * wayOf(next) > 0 ? mPerS : 0;
}

/** How a step of a list is joined with its neighbours: those that drive the same way are, where the first is told so. */
export function joinedAt(steps: readonly Step[], at: number): Joined {
  const fromMPerS = Math.abs(rollingInto(steps[at - 1], steps[at]));
  const rollsOut = rollingInto(steps[at], steps[at + 1]) !== 0;
  return { ...(rollsOut && { rollsOut }), ...(fromMPerS > 0 && { fromMPerS }) };
}
