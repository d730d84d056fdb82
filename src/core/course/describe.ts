import { kindOfStep } from '../steps/registry';
import type { Step } from '../steps/step';
import { benchLength, headingText } from '../text/quantities';
import type { Route } from './route';
import type { Mission } from './table';

/** A step as one plain sentence with its values, in the team's units. */
export const describeStep = (step: Step, missions: readonly Mission[]): string =>
  kindOfStep(step).describe(step, missions);

/** The values in which two steps of a kind differ, exactly: for differences that a sentence rounds away. */
export function differingValuesOf(before: Step, after: Step): { before: string; after: string } {
  const old: Record<string, unknown> = before;
  const now: Record<string, unknown> = after;
  const names = [...new Set([...Object.keys(old), ...Object.keys(now)])].filter(
    (name) => name !== 'id' && old[name] !== now[name],
  );
  const words: Record<string, ((value: unknown) => string) | undefined> =
    kindOfStep(after).valueWords;
  const say = (values: Record<string, unknown>) =>
    names.map((name) => words[name]?.(values[name]) ?? name).join(', ');
  return { before: say(old), after: say(now) };
}

/** Where and how the robot is placed, as one plain sentence. */
export const describeStart = ({ start }: Route): string =>
  `Place the robot with its axle ${benchLength(start.xM)} along the home edge and ${benchLength(start.yM)} away from it, heading ${headingText(start.headingRad)}`;
