import { useState } from 'react';
import { headingsSet } from '../../../core/course/headingsSet';
import type { PlannedStep } from '../../../core/course/plan';
import type { Robot } from '../../../core/robot/robot';
import type { Step } from '../../../core/steps/descriptions';
import { taughtBy } from '../../../core/steps/teaching/taughtBy';
import { fetchedLater } from '../../../ui/fetchedLater';

/** What reads a robot is fetched when somebody teaches a step. */
const TeachLine = fetchedLater(async () => (await import('./TeachLine')).TeachLine);

/** How a step is taught by placing the robot; nothing where nothing of it can be. */
export function useTeach(
  step: Step,
  robot: Robot,
  plan: readonly PlannedStep[],
  onChange: (step: Step) => void,
) {
  const [isOpen, setOpen] = useState(false);
  const all = taughtBy(step, robot);
  if (all.length === 0) return {};
  const at = plan.findIndex((one) => one.step.id === step.id || one.within.includes(step.id));
  const startRad = plan[0]?.from.headingRad ?? 0;
  const zeroRad = (isOpen ? headingsSet(plan, startRad, robot)[at]?.zeroRad : null) ?? startRad;
  const line = (
    <TeachLine all={all.map((taught) => ({ taught, robot, zeroRad }))} onChange={onChange} />
  );
  return { teach: { isOpen, onToggle: () => setOpen(!isOpen), line } };
}
