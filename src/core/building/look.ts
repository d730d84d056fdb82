import { longestS } from '../control/look';
import { typed } from '../recipe/figure';
import type { Line } from '../recipe/lines';
import { LEAVE } from '../recipe/loops';
import { conditionLines } from '../steps/condition/lines';
import type { Condition } from '../steps/condition/condition';
import { watchedOf } from '../steps/condition/watched';
import type { Made, Writing } from './calls';

/** The robot stands and looks: ANSWER is 1 if it is so, and 0 if not. */
export function lookLines(condition: Condition, made: Made, { program }: Writing): Line[] {
  const { planned, at } = made;
  const { robot } = program;
  const headings = { aboutRad: planned.to.headingRad, zeroRad: at.zeroRad };
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
