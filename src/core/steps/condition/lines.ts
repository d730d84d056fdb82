import { unitLookedAt } from '../leave';
import { wrap } from '../../geometry/angle';
import { STILL_S } from '../../control/condition';
import { isA } from '../../devices/ofRobot';
import type { Device } from '../../devices/device';
import { figureText, typed } from '../../recipe/figure';
import type { Line } from '../../recipe/lines';
import type { OwnProgram } from '../../recipe/ownProgram';
import { significant } from '../../recipe/significant';
import { singlesOf, type Condition, type Single } from './condition';

/** How a condition is looked at, in lines. */
export interface ConditionLines {
  before: Line[];
  each: Line[];
  /** It is so. */
  isSo: string;
  /** It can no longer come true: its time is over. */
  isOver: string | null;
}

/** About which heading of the plan it is looked at, and from where the program counts headings. */
export interface LookedAtHeading {
  aboutRad: number;
  zeroRad: number;
}

/** What is read of a condition in the program's own numbers. */
interface Shown {
  text: string;
  /** Only while this is so there is a reading. */
  isThere: string | null;
  /** How much more it shows for one more of the core's unit. */
  slope: number;
  value(core: number): string;
}

const linear = (text: string, slope: number): Shown => ({
  text,
  isThere: null,
  slope,
  value: (core) => significant(core * slope),
});

/** Echoes can be lost; all else always shows something. */
const mayBeLost = (unit: Device): boolean => isA(unit, 'distance sensor');

const DEGREES_PER_RAD = 180 / Math.PI;

function motorShown(program: OwnProgram, unit: Device): Shown {
  const { robot, names, perM, countUnit } = program;
  const isLeft = isA(unit, 'left motor');
  if (!isLeft && !isA(unit, 'right motor')) {
    return linear(program.read(unit, 'angle'), DEGREES_PER_RAD);
  }
  const sign = isLeft ? robot.signs.leftMotor : robot.signs.rightMotor;
  const perRad = countUnit === '°' ? DEGREES_PER_RAD : 1 / (2 * Math.PI);
  return perM === 0
    ? linear(isLeft ? names.left : names.right, 0)
    : linear(isLeft ? names.left : names.right, sign * perRad);
}

/** Null: there is nothing that could be read. */
function shownOf(single: Single, program: OwnProgram, at: LookedAtHeading): Shown | null {
  const { reading } = single;
  if (reading === 'time') return linear('timer', 1);
  if (reading === 'volts') return linear('battery volts', 1);
  if (reading === 'heading') {
    const counted = (rad: number) => at.aboutRad + wrap(rad - at.aboutRad) - at.zeroRad;
    return {
      text: program.heading,
      isThere: null,
      slope: program.angle(1).value,
      value: (rad) => figureText(program.angle(counted(rad))),
    };
  }
  const unit = unitLookedAt(single, program.robot);
  if (unit === null) return null;
  if ('motor' in reading) return motorShown(program, unit);
  const { channel } = reading;
  const slope = program.slope(unit, channel, single.value);
  return {
    text: program.read(unit, channel),
    isThere: mayBeLost(unit) ? `${program.read(unit, channel)} shows something` : null,
    slope,
    value: (core) => figureText(program.reading(unit, channel, core)),
  };
}

/** What counts how often in a row it was so. */
function countedLines(single: Single, shown: Shown, n: string): { before: Line[]; each: Line[] } {
  const { is, value } = single;
  const held = `HELD${n}`;
  const counts = (so: string): Line[] => [
    `if ${so}:`,
    [`set ${held} to ${held} + 1`],
    'otherwise:',
    [`set ${held} to 0`],
  ];
  const before: Line[] = [`set ${held} to 0`];
  if (is === 'above' || is === 'below') {
    const isMore = (is === 'above') === shown.slope >= 0;
    return { before, each: counts(`${shown.text} ${isMore ? '>=' : '<='} ${shown.value(value)}`) };
  }
  const [first, size] = [`FIRST${n}`, significant(value * Math.abs(shown.slope))];
  const off = `size of (${shown.text} - ${first})`;
  const begin: Line[] = [...before, `set NEW${n} to 1`];
  const note: Line[] = [
    `if NEW${n} = 1:`,
    [`set ${first} to ${shown.text}`, `set NEW${n} to 0`, `set SINCE${n} to timer`],
  ];
  if (is === 'changed') return { before: begin, each: [...note, ...counts(`${off} >= ${size}`)] };
  return {
    before: begin,
    each: [
      ...note,
      `if ${off} > ${size}:`,
      [`set ${first} to ${shown.text}`, `set SINCE${n} to timer`],
      ...counts(`timer - SINCE${n} >= ${typed(STILL_S, 2)}`),
    ],
  };
}

/** Whether all of it, or any of it, is so, from what was counted of each part. */
function truth(condition: Condition, next: () => string): string {
  if ('all' in condition) return `(${condition.all.map((one) => truth(one, next)).join(' and ')})`;
  if ('any' in condition) return `(${condition.any.map((one) => truth(one, next)).join(' or ')})`;
  return `HELD${next()} >= ${condition.confirmations}`;
}

/**
 * A condition in lines: what is noted before, and in each round.
 *
 * @param mark behind the names of what it counts, so that two conditions do not count the same
 */
export function conditionLines(
  condition: Condition,
  program: OwnProgram,
  at: LookedAtHeading,
  mark = '',
): ConditionLines {
  const singles = singlesOf(condition);
  const nameOf = (i: number) => (singles.length === 1 ? mark : `${mark} ${i + 1}`);
  const lines = singles.map((single, i) => {
    const shown = shownOf(single, program, at);
    // What is not there can be waited for by nobody.
    if (shown === null) return { before: [`set HELD${nameOf(i)} to 0`], each: ['give up'] };
    const { before, each } = countedLines(single, shown, nameOf(i));
    return { before, each: shown.isThere === null ? each : [`if ${shown.isThere}:`, each] };
  });
  let asked = 0;
  const limits = singles.flatMap(({ timeoutS, confirmations }, i) =>
    timeoutS === undefined
      ? []
      : [`(timer > ${typed(timeoutS, 2)} and HELD${nameOf(i)} < ${confirmations})`],
  );
  return {
    before: lines.flatMap((one) => one.before),
    each: lines.flatMap((one) => one.each),
    isSo: truth(condition, () => nameOf(asked++)),
    isOver: limits.length === 0 ? null : limits.join(' or '),
  };
}
