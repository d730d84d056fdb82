import type { Figure, Line } from '../../../recipe/lines';
import { speedFigure, type CommandLaw } from '../../../recipe/motors';
import type { Making } from '../../recipeOf';
import { sharesOf } from '..';
import type { TurnStep } from '../description';

/** What a strategy adds: its words, numbers and lines. */
export interface Way {
  words: string;
  parameters: Record<string, Figure>;
  before: Line[];
  each: Line[];
}

export interface Turning {
  step: TurnStep;
  making: Making;
  law: CommandLaw;
  /** Signed, on the table; to where, as the program counts. */
  angleRad: number;
  toRad: number;
}

/** What each wheel is told to turn the robot at a rate. */
export function wheelsAt(
  { step, making: { program }, law }: Turning,
  rateRadPerS: number,
  names: [string, string],
) {
  const { trackM } = program.robot;
  const [left, right] = sharesOf(step);
  const at = (share: number) => speedFigure(law, share * rateRadPerS * trackM);
  return { [names[0]]: at(left), [names[1]]: at(right) };
}

/** What a wheel is told of TURN: "-TURN", or nothing where it stands. */
export const part = (share: number): string => (share === 0 ? '0' : share > 0 ? 'TURN' : '-TURN');

/** How fast a wheel that turns rolls for the robot to turn at 1 rad/s. */
export const leverOf = ({ step, making: { program } }: Turning): number =>
  Math.max(...sharesOf(step).map(Math.abs)) * program.robot.trackM;
