import type { TurnStrategy } from '../../../control/turn/schema';
import { figure } from '../../../recipe/figure';
import type { Figure } from '../../../recipe/lines';
import { leaveIf, limitLines } from '../../../recipe/loops';
import { speedFigure } from '../../../recipe/motors';
import { significant } from '../../../recipe/significant';
import { sharesOf } from '..';
import { leverOf, part, type Turning, type Way } from './turning';

/** How far the wheels are to roll apart for an angle, as their motors count. */
const rollsApart = ({ making: { program } }: Turning, rad: number): number =>
  rad * program.robot.trackM * program.perM;

export function byEncoders(
  turning: Turning,
  how: Extract<TurnStrategy, { school: 'encoder' }>,
): Way {
  const { making, step, law, angleRad, toRad } = turning;
  const { program } = making;
  const { rateRadPerS, endRateRadPerS = rateRadPerS } = how;
  const side = Math.sign(angleRad);
  const leverM = leverOf(turning);
  const perUnit = program.leftSign * rollsApart(turning, 1 / program.perRad);
  const goal: { parameters: Record<string, Figure>; line: string } =
    step.mode === 'to'
      ? {
          parameters: { HEADING: program.angle(toRad) },
          line: `${significant(perUnit)} * (HEADING - ${program.heading})`,
        }
      : {
          parameters: { APART: program.travel(angleRad * program.robot.trackM) },
          line: 'APART',
        };
  // It slows down at twice a second of what is left.
  const slowing = (2 * law.perMPerS * leverM) / rollsApart(turning, 1);
  const [left, right] = sharesOf(step);
  return {
    words: ' by the encoders',
    parameters: {
      ...goal.parameters,
      SIDE: figure(side, 0, ''),
      FAST: speedFigure(law, rateRadPerS * leverM),
      SLOW: speedFigure(law, endRateRadPerS * leverM),
    },
    before: [...program.countFromHere, `set GOAL to ${goal.line}`],
    each: [
      `set LEFT OVER to SIDE * (GOAL - (${program.rightWay} - (${program.leftWay})))`,
      ...leaveIf('LEFT OVER <= 0'),
      ...limitLines(step.onTimeout),
      `set TURN to SIDE * smallest of (FAST, largest of (SLOW, ${significant(slowing)} * LEFT OVER + ${significant(law.atRest)}))`,
      program.run(part(left), part(right)),
    ],
  };
}
