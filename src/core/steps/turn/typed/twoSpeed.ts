import type { TurnStrategy } from '../../../control/turn/schema';
import { leaveIf, limitLines } from '../../../recipe/loops';
import { wheelsAt, type Turning, type Way } from './turning';
import { untilHeading } from './untilHeading';

export function twoSpeed(
  turning: Turning,
  how: Extract<TurnStrategy, { school: 'two-speed' }>,
): Way {
  const { making, angleRad } = turning;
  const side = Math.sign(angleRad);
  const end = untilHeading(turning, how.leadRad, 'UNTIL');
  const slow = untilHeading(turning, how.slowFromRad, 'SLOW FROM');
  return {
    words: ', slower at its end',
    parameters: {
      ...end.parameters,
      ...slow.parameters,
      ...wheelsAt(turning, side * how.rateRadPerS, ['LEFT', 'RIGHT']),
      ...wheelsAt(turning, side * how.slowRateRadPerS, ['SLOW LEFT', 'SLOW RIGHT']),
    },
    before: end.before,
    each: [
      ...leaveIf(end.each.join('')),
      ...limitLines(turning.step.onTimeout),
      `if ${slow.each.join('')}:`,
      [making.program.run('SLOW LEFT', 'SLOW RIGHT')],
      'otherwise:',
      [making.program.run('LEFT', 'RIGHT')],
    ],
  };
}
