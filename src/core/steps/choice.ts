import type { Controller } from '../control/controller';
import { look } from '../control/look';
import type { Pose } from '../geometry/pose';
import type { Line } from '../recipe/lines';
import type { Robot } from '../robot/robot';
import type { Table } from '../table/table';
import type { Step } from './descriptions';
import type { Condition } from './condition/condition';
import { lookLines, type AskedAt } from './condition/lookLines';
import { watchedOf } from './condition/watched';
import type { Leg, Motion } from './kind';
import type { PlanProblem } from './problems';
import { rehearsed } from './rehearsed';

/** A program that looks: it stands meanwhile, and has an answer when it is done. */
export interface Asking {
  controller: Controller;
  answer(): string;
}

/** Something that a program asks on its way, by which it goes on with one list of steps or another. */
export interface Choice {
  /** With which answer a plan goes on; null: with the one that the exact robot finds. */
  usual: string | null;
  /** The lists among which it decides, by their names, which are its answers, and where they stand in its step. */
  decides?: readonly { list: string; at: readonly string[] }[];
  /** Its step, with another answer as the usual one. */
  withUsual?(answer: string): Step;
  /** With this answer it gives up. */
  givesUp?: string;
  /** The conditions that it looks at. */
  looksAt: readonly Condition[];
  /** What it looks at besides, in sentences. */
  told?(robot: Robot): string[];
  /** What is doubtful about how it tells its answers. */
  doubts?(robot: Robot): PlanProblem[];
  /** Its answers; the last of them is that nothing else was found. */
  answers: readonly string[];
  ask(leg: Leg, robot: Robot): Asking;
  /** How it is typed: ANSWER is then 1 for the first of its answers, 2 for the second, …, and 0 for the last. */
  lines(at: AskedAt): Line[];
}

/** A question that is answered by whether something is so. */
export const whether = (
  condition: Condition,
  [ifSo, ifNot]: readonly [string, string],
): Pick<Choice, 'looksAt' | 'answers' | 'ask' | 'lines'> => ({
  looksAt: [condition],
  answers: [ifSo, ifNot],
  lines: (at) => lookLines(condition, at),
  ask(leg, robot) {
    const controller = look(watchedOf(condition, leg, robot), robot.loopPeriodS);
    return { controller, answer: () => (controller.isSo() ? ifSo : ifNot) };
  },
});

/** How a question is planned: the robot stands, and finds an answer as the exact robot does where none is given. */
export function planChoice(
  choice: Choice,
  from: Pose,
  robot: Robot,
  table: Table,
  given: string | undefined,
): { motion: Motion; answer: string; found: string } {
  let asking: Asking | null = null;
  const motion = rehearsed(
    (leg, exact) => {
      asking = choice.ask(leg, exact);
      return asking.controller;
    },
    from,
    robot,
    table,
    { never: 'never-ends' },
  );
  const found = (asking as Asking | null)?.answer() ?? '';
  const answer = given ?? choice.usual ?? found;
  const isOther = motion.problems.length === 0 && given === undefined && answer !== found;
  return {
    motion: {
      ...motion,
      to: from,
      problems: [
        ...motion.problems,
        ...(choice.doubts?.(robot) ?? []),
        ...(answer === choice.givesUp ? (['never-ends'] as const) : []),
        ...(isOther ? (['answers-otherwise'] as const) : []),
      ],
    },
    answer,
    found,
  };
}
