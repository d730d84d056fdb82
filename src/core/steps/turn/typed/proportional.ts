import type { TurnStrategy } from '../../../control/turn/schema';
import { figure, typed } from '../../../recipe/figure';
import { leaveIf, limitLines } from '../../../recipe/loops';
import { significant, significantDecimals } from '../../../recipe/significant';
import { sharesOf } from '..';
import { leverOf, part, type Turning, type Way } from './turning';

export function proportional(
  turning: Turning,
  how: Extract<TurnStrategy, { school: 'proportional' }>,
): Way {
  const { making, step, law, toRad, angleRad } = turning;
  const { program } = making;
  const { loopPeriodS } = program.robot;
  const leverM = leverOf(turning);
  const isTo = step.mode === 'to';
  const error = isTo ? `HEADING - ${program.heading}` : `BEGAN + BY - ${program.heading}`;
  const gain = (law.perMPerS * how.kpPerS * leverM) / program.perRad;
  const angle = (rad: number) => significant(rad * program.perRad);
  const [left, right] = sharesOf(step);
  const least = law.perMPerS * how.leastRateRadPerS * leverM;
  return {
    words: ', slowing with what is left',
    parameters: {
      ...(isTo ? { HEADING: program.angle(toRad) } : { BY: program.angle(angleRad) }),
      GAIN: figure(gain, significantDecimals(gain), law.unit),
      FAST: figure(law.perMPerS * how.rateRadPerS * leverM, law.decimals, law.unit),
    },
    before: [
      ...(isTo ? [] : [`set BEGAN to ${program.heading}`]),
      `set LAST to ${program.heading}`,
      'set SINCE to 0',
    ],
    each: [
      `set ERROR to ${error}`,
      `set NEAR to 1`,
      `if size of (ERROR) > ${angle(how.settledRad)}:`,
      ['set NEAR to 0'],
      `if NEAR = 0 or size of (${program.heading} - LAST) > ${angle(how.settledRateRadPerS * loopPeriodS)}:`,
      [`set SINCE to timer + ${typed(loopPeriodS, 3)}`],
      `set LAST to ${program.heading}`,
      ...leaveIf(`timer - SINCE >= ${typed(how.settledS, 3)}`),
      ...limitLines(step.onTimeout),
      'set TURN to smallest of (FAST, GAIN * size of (ERROR))',
      `if TURN < ${significant(least)}:`,
      ['if NEAR = 1:', ['set TURN to 0'], 'otherwise:', [`set TURN to ${significant(least)}`]],
      ...(law.atRest === 0
        ? []
        : ['if TURN > 0:', [`set TURN to TURN + ${significant(law.atRest)}`]]),
      `if ERROR ${program.leftSign === 1 ? '<' : '>'} 0:`,
      ['set TURN to -TURN'],
      program.run(part(left), part(right)),
    ],
  };
}
