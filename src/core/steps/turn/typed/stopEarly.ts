import { leaveIf, limitLines } from '../../../recipe/loops';
import { wheelsAt, type Turning, type Way } from './turning';
import { untilHeading } from './untilHeading';

export function stopEarly(
  turning: Turning,
  { rateRadPerS, leadRad }: { rateRadPerS: number; leadRad: number },
): Way {
  const { making, angleRad } = turning;
  const side = Math.sign(angleRad);
  const end = untilHeading(turning, leadRad, 'UNTIL');
  return {
    words: '',
    parameters: { ...end.parameters, ...wheelsAt(turning, side * rateRadPerS, ['LEFT', 'RIGHT']) },
    before: end.before,
    each: [
      ...leaveIf(end.each.join('')),
      ...limitLines(turning.step.onTimeout),
      making.program.run('LEFT', 'RIGHT'),
    ],
  };
}
