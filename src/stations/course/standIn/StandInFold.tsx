import { fetchedLater } from '../../../ui/fetchedLater';
import type { ComponentProps } from 'react';
import type { PlannedStep } from '../../../core/course/plan';
import type { StandInDrive } from './StandInDrive';

const Drive = fetchedLater(async () => (await import('./StandInDrive')).StandInDrive);

/** Where the stand-in is on the plan. */
export const StandInOnPlan = fetchedLater(
  async () => (await import('./StandInOnPlan')).StandInOnPlan,
);

interface Props extends Omit<ComponentProps<typeof StandInDrive>, 'upTo'> {
  plan: readonly PlannedStep[];
  selected: string | null;
  isOpen: boolean;
  onOpen(isOpen: boolean): void;
}

/** The place in the route's list of the step in hand, or of what it stands within. */
function placeOf(plan: readonly PlannedStep[], selected: string | null): number | null {
  const inHand = plan.find(
    ({ step, within }) => selected !== null && (step.id === selected || within.includes(selected)),
  );
  return inHand === undefined ? null : Number(inHand.path[0]);
}

/** The stand-in is fetched, and asked what it reads, when somebody wants it. */
export const StandInFold = ({ isOpen, onOpen, plan, selected, ...drive }: Props) => (
  <details open={isOpen} onToggle={(event) => onOpen(event.currentTarget.open)}>
    <summary>Let the stand-in drive it</summary>
    {isOpen && <Drive {...drive} upTo={placeOf(plan, selected)} />}
  </details>
);
