import { wrap } from '../geometry/angle';
import type { Robot } from '../robot/robot';
import { kindOfStep } from '../steps/registry';
import type { PlannedStep } from './plan';

/** How headings are counted about a planned step. */
export interface HeadingsAt {
  /** At which heading on the table its sensor reads zero while the step is made. */
  zeroRad: number;
  /** The heading that the program takes for its own after it; null: it goes on counting. */
  setsRad: number | null;
}

/** How a program counts headings through a plan: from the start, or from where a kit that can do no more zeroes it. */
export function headingsSet(
  plan: readonly PlannedStep[],
  startRad: number,
  robot: Robot,
): HeadingsAt[] {
  let zeroRad = startRad;
  return plan.map(({ step, to }) => {
    const taken = kindOfStep(step).takesHeading?.(step, robot);
    if (taken === undefined) return { zeroRad, setsRad: null };
    const { headingRad = to.headingRad } = taken;
    // Counted on, as the plan does.
    const setsRad = to.headingRad + wrap(headingRad - to.headingRad);
    const now = { zeroRad, setsRad };
    if (robot.program.setsHeading === 'zero') zeroRad = setsRad;
    return now;
  });
}
