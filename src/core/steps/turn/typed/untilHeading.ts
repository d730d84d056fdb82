import type { Turning, Way } from './turning';

/** "or less", where turning this way lets the number fall. */
const passes = ({ making: { program }, angleRad }: Turning): '>=' | '<=' =>
  program.leftSign * angleRad >= 0 ? '>=' : '<=';

/** What the heading is compared with so early: a number, or one that is counted from where the turn begins. */
export function untilHeading(turning: Turning, earlyRad: number, name: string): Way {
  const { step, making, angleRad, toRad } = turning;
  const { program } = making;
  const early = Math.sign(angleRad) * earlyRad;
  const isTo = step.mode === 'to';
  const shown = isTo ? program.heading : `${program.heading} - BEGAN`;
  return {
    words: '',
    parameters: { [name]: program.angle((isTo ? toRad : angleRad) - early) },
    before: isTo ? [] : [`set BEGAN to ${program.heading}`],
    each: [`${shown} ${passes(turning)} ${name}`],
  };
}
