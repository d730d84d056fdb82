import { longestS } from '../../control/look';
import { typed } from '../../recipe/figure';
import type { Line, Recipe } from '../../recipe/lines';
import { LEAVE } from '../../recipe/loops';
import type { OwnProgram } from '../../recipe/ownProgram';
import type { PlannedMotion } from '../leave';
import type { Condition } from './condition';
import { conditionLines } from './lines';
import { watchedOf } from './watched';

/** A question where it is asked, and from where the program counts headings there. */
export interface AskedAt {
  planned: PlannedMotion & { number: string };
  program: OwnProgram;
  zeroRad: number;
  /** The line that calls a block of these lines, which is written once. */
  call(block: Recipe): string;
}

/** The robot stands and looks: ANSWER is 1 if it is so, and 0 if not. */
export function lookLines(condition: Condition, { planned, program, zeroRad }: AskedAt): Line[] {
  const { robot } = program;
  const headings = { aboutRad: planned.to.headingRad, zeroRad };
  const { before, each, isSo, isOver } = conditionLines(condition, program, headings);
  const leg = {
    ...planned,
    fromHeadingRad: planned.from.headingRad,
    plannedReadingRad: 0,
    balancedM: 0,
    lateRad: 0,
    lateM: 0,
  };
  const longest = longestS(watchedOf(condition, leg, robot), robot.loopPeriodS);
  const ends = `timer >= ${typed(longest, 3)}`;
  return [
    `${planned.number}: stop both motors`,
    'restart the timer',
    'set ANSWER to 0',
    ...before,
    'repeat:',
    [
      ...each,
      `if ${isSo}:`,
      ['set ANSWER to 1', LEAVE],
      `if ${isOver === null ? ends : `${ends} or ${isOver}`}:`,
      [LEAVE],
      program.loop,
    ],
  ];
}
