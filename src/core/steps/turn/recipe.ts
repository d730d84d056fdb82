import { figure } from '../../recipe/figure';
import type { Figure, Line } from '../../recipe/lines';
import { leaveIf, limitLines, motionLines } from '../../recipe/loops';
import { speedFigure, type CommandLaw } from '../../recipe/motors';
import { significantDecimals } from '../../recipe/significant';
import { typed } from '../../recipe/figure';
import type { TurnStrategy } from '../../control/turn/schema';
import { limitOf, type Making, type RecipeOf } from '../recipeOf';
import { angleOf, howOf, sharesOf } from '.';
import type { TurnStep } from './description';

/** What a strategy adds: its words, numbers and lines. */
interface Way {
  words: string;
  parameters: Record<string, Figure>;
  before: Line[];
  each: Line[];
}

interface Turning {
  step: TurnStep;
  making: Making;
  law: CommandLaw;
  /** Signed, on the table; to where, as the program counts. */
  angleRad: number;
  toRad: number;
}

const short = (value: number): string => typed(value, significantDecimals(value));

/** What each wheel is told to turn the robot at a rate. */
function wheelsAt(
  { step, making: { program }, law }: Turning,
  rateRadPerS: number,
  names: [string, string],
) {
  const { trackM } = program.robot;
  const [left, right] = sharesOf(step);
  const at = (share: number) => speedFigure(law, share * rateRadPerS * trackM);
  return { [names[0]]: at(left), [names[1]]: at(right) };
}

/** "or less", where turning this way lets the number fall. */
const passes = ({ making: { program }, angleRad }: Turning): '>=' | '<=' =>
  program.leftSign * angleRad >= 0 ? '>=' : '<=';

/** What the heading is compared with so early: a number, or one that is counted from where the turn begins. */
function until(turning: Turning, earlyRad: number, name: string): Way {
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

function stopEarly(
  turning: Turning,
  { rateRadPerS, leadRad }: { rateRadPerS: number; leadRad: number },
): Way {
  const { making, angleRad } = turning;
  const side = Math.sign(angleRad);
  const end = until(turning, leadRad, 'UNTIL');
  return {
    words: '',
    parameters: { ...end.parameters, ...wheelsAt(turning, side * rateRadPerS, ['LEFT', 'RIGHT']) },
    before: end.before,
    each: [
      ...leaveIf(end.each.join('')),
      ...limitLines(turning.step.onTimeout === 'go-on'),
      making.program.run('LEFT', 'RIGHT'),
    ],
  };
}

function twoSpeed(turning: Turning, how: Extract<TurnStrategy, { school: 'two-speed' }>): Way {
  const { making, angleRad } = turning;
  const side = Math.sign(angleRad);
  const end = until(turning, how.leadRad, 'UNTIL');
  const slow = until(turning, how.slowFromRad, 'SLOW FROM');
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
      ...limitLines(turning.step.onTimeout === 'go-on'),
      `if ${slow.each.join('')}:`,
      [making.program.run('SLOW LEFT', 'SLOW RIGHT')],
      'otherwise:',
      [making.program.run('LEFT', 'RIGHT')],
    ],
  };
}

/** What a wheel is told of TURN: "-TURN", or nothing where it stands. */
const part = (share: number): string => (share === 0 ? '0' : share > 0 ? 'TURN' : '-TURN');

/** How fast a wheel that turns rolls for the robot to turn at 1 rad/s. */
const leverOf = ({ step, making: { program } }: Turning): number =>
  Math.max(...sharesOf(step).map(Math.abs)) * program.robot.trackM;

/** How far the wheels are to roll apart for an angle, as their motors count. */
const rollsApart = ({ making: { program } }: Turning, rad: number): number =>
  rad * program.robot.trackM * program.perM;

function byEncoders(turning: Turning, how: Extract<TurnStrategy, { school: 'encoder' }>): Way {
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
          line: `${short(perUnit)} * (HEADING - ${program.heading})`,
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
      ...limitLines(step.onTimeout === 'go-on'),
      `set TURN to SIDE * smallest of (FAST, largest of (SLOW, ${short(slowing)} * LEFT OVER + ${short(law.atRest)}))`,
      program.run(part(left), part(right)),
    ],
  };
}

function proportional(
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
  const angle = (rad: number) => short(rad * program.perRad);
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
      ...limitLines(step.onTimeout === 'go-on'),
      'set TURN to smallest of (FAST, GAIN * size of (ERROR))',
      `if TURN < ${short(least)}:`,
      ['if NEAR = 1:', ['set TURN to 0'], 'otherwise:', [`set TURN to ${short(least)}`]],
      ...(law.atRest === 0 ? [] : ['if TURN > 0:', [`set TURN to TURN + ${short(law.atRest)}`]]),
      `if ERROR ${program.leftSign === 1 ? '<' : '>'} 0:`,
      ['set TURN to -TURN'],
      program.run(part(left), part(right)),
    ],
  };
}

function wayOf(turning: Turning): Way {
  const { step, making } = turning;
  const how = howOf(step, step.leadRad, making.program.robot);
  switch (how.school) {
    case 'stop-early':
      return stopEarly(turning, how);
    case 'two-speed':
      return twoSpeed(turning, how);
    case 'encoder':
      return byEncoders(turning, how);
    case 'proportional':
      return proportional(turning, how);
  }
}

export const turnRecipe: RecipeOf<TurnStep> = (step, making) => {
  const { planned, program, zeroRad, interrupts } = making;
  const angleRad = angleOf(step, planned.from.headingRad);
  if (angleRad === 0) return null;
  const { rateRadPerS } = step;
  const law = program.law((rateRadPerS * program.robot.trackM) / 2);
  const toRad = planned.from.headingRad - zeroRad + angleRad;
  const turning = { step, making, law, angleRad, toRad };
  const way = wayOf(turning);
  const isToHeading = step.mode === 'to';
  const side = way.parameters.SIDE === undefined ? ` ${angleRad > 0 ? 'left' : 'right'}` : '';
  const about = {
    centre: '',
    'left-wheel': ' about the left wheel',
    'right-wheel': ' about the right wheel',
  };
  return {
    name: `turn${side}${isToHeading ? ' to a heading' : ''}${about[step.about ?? 'centre']}${way.words}`,
    parameters: { ...way.parameters, LIMIT: limitOf(making) },
    lines: motionLines(way.before, way.each, interrupts, program.loop),
  };
};
