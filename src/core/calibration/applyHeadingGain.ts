import type { Route } from '../course/route';
import type { Robot } from '../robot/robot';
import { kindOfStep } from '../steps/registry';
import { withMotions } from '../steps/tree';

/** Gains nearer to each other than this are one gain that was rounded. */
const SAME_SHARE = 0.005;

const isSame = (one: number, other: number): boolean =>
  Math.abs(one - other) <= SAME_SHARE * Math.max(one, other);

/**
 * A route whose steps hold their heading with the gain that was tuned on the robot, and how many of them that
 * changes; the route itself where nobody has tuned one.
 */
export function withHeadingGain(
  route: Route,
  { measured }: Robot,
): { route: Route; changed: number } {
  const tuned = measured.gains['heading-hold'];
  if (tuned === undefined) return { route, changed: 0 };
  let changed = 0;
  const steps = withMotions(route.steps, (step) => {
    const { steering } = kindOfStep(step).inProgram;
    const now = steering?.of(step)?.gainMPerSPerRad;
    if (steering === undefined || now === undefined || isSame(now, tuned)) return step;
    changed += 1;
    return steering.withGain(step, tuned);
  });
  return { route: { ...route, steps }, changed };
}
