import { fieldsOf } from '../description/description';
import { exactWords, sentenceOf, shownIn, type Names } from '../description/words';
import { descriptionOfStep, type Step } from '../steps/descriptions';
import { benchLength, headingText } from '../text/quantities';
import { missionName } from '../table/missionName';
import type { Route } from './route';
import type { Mission } from '../table/table';

const namesOn = (missions: readonly Mission[]): Names => ({
  mission: (id) => missionName(missions, id),
});

/** A step as one plain sentence with its values, in the team's units. */
export const describeStep = (step: Step, missions: readonly Mission[]): string =>
  sentenceOf(descriptionOfStep(step), step, namesOn(missions));

/** The values in which two steps of a kind differ, exactly: for differences that a sentence rounds away. */
export function differingValuesOf(
  before: Step,
  after: Step,
  missions: readonly Mission[],
): { before: string; after: string } {
  const old = before as object as Readonly<Record<string, unknown>>;
  const now = after as object as Readonly<Record<string, unknown>>;
  const fields = Object.entries(fieldsOf(descriptionOfStep(after))).filter(
    ([name]) => old[name] !== now[name],
  );
  const say = (step: Step, values: Readonly<Record<string, unknown>>) => {
    const phrase = descriptionOfStep(step).phrase(step as never);
    return fields
      .map(([name, field]) =>
        exactWords(shownIn(phrase, name, field), values[name], namesOn(missions)),
      )
      .join(', ');
  };
  return { before: say(before, old), after: say(after, now) };
}

/** Where and how the robot is placed, as one plain sentence. */
export const describeStart = ({ start }: Route): string =>
  `Place the robot with its axle ${benchLength(start.xM)} along the home edge and ${benchLength(start.yM)} away from it, heading ${headingText(start.headingRad)}`;
