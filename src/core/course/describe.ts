import { changeWords, saidByPhrase, type Names } from '../description/words';
import { descriptionOfStep, type Step } from '../steps/descriptions';
import { benchLength, headingText } from '../text/quantities';
import { missionName } from '../table/missionName';
import { BEGINNING } from './description';
import type { Route } from './route';
import type { Mission } from '../table/table';

const namesOn = (missions: readonly Mission[]): Names => ({
  mission: (id) => missionName(missions, id),
});

/** A step as one plain sentence with its values, in the team's units. */
export const describeStep = (step: Step, missions: readonly Mission[]): string =>
  saidByPhrase(descriptionOfStep(step), step, namesOn(missions));

/** Two steps in words that tell them apart; null where nothing differs. */
export const stepChange = (before: Step, after: Step, missions: readonly Mission[]) =>
  changeWords(
    [descriptionOfStep(before), before],
    [descriptionOfStep(after), after],
    namesOn(missions),
  );

/** The same of two beginnings. */
export const beginningChange = (before: Route, after: Route) =>
  changeWords(
    [BEGINNING, { ...before.start, ...before.placement }],
    [BEGINNING, { ...after.start, ...after.placement }],
    namesOn([]),
  );

/** What is mounted for it. */
export const mountedWords = ({ mounted }: Pick<Route, 'mounted'>): string =>
  mounted === null ? 'Nothing mounted' : `“${mounted}” mounted`;

/** Where and how the robot is placed, as one plain sentence. */
export const describeStart = ({ start, mounted }: Pick<Route, 'start' | 'mounted'>): string =>
  `Place the robot with its axle ${benchLength(start.xM)} along the home edge and ${benchLength(start.yM)} away from it, heading ${headingText(start.headingRad)}${mounted === null ? '' : `, with “${mounted}” mounted`}`;
