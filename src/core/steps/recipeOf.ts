import { figure, seconds } from '../recipe/figure';
import type { Figure, Line, Recipe } from '../recipe/lines';
import type { Interrupts } from '../recipe/loops';
import type { OwnProgram } from '../recipe/ownProgram';
import type { PlannedMotion } from './leave';

/** What a step's recipe is written from. */
export interface Making {
  planned: PlannedMotion;
  program: OwnProgram;
  /** The heading on the table at which the program's own reads zero while the step is made. */
  zeroRad: number;
  /** What ends it besides, or is done meanwhile, in each round of its loop. */
  interrupts: Interrupts;
  /** It is made while another motion is: it does not wait. */
  isMeanwhile?: true;
}

/** How a kind of motion is typed; null: there is nothing to type. */
export type RecipeOf<S> = (step: S, making: Making) => Recipe | null;

/** The heading at which the step begins, as it is typed and held. */
export const headingAtStart = ({ planned, zeroRad }: Making): number =>
  planned.from.headingRad - zeroRad;

/** After this it has failed. */
export const limitOf = ({ planned }: Making): Figure => seconds(planned.timeoutS);

/** 1 drives forwards, −1 backwards: nothing else is to be swapped. */
export const direction = (isBack: boolean): Figure => figure(isBack ? -1 : 1, 0, '');

/** What needs a unit that is not there can be typed by nobody. */
export const withoutUnit = (name: string): Recipe => ({
  name: `${name}: the robot has no such sensor`,
  parameters: {},
  lines: ['give up'] satisfies Line[],
});
