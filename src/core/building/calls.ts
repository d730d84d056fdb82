import type { HeadingsAt } from '../course/headingsSet';
import type { PlannedStep } from '../course/plan';
import { balanceNow } from '../recipe/balance';
import { figureText } from '../recipe/figure';
import type { Line } from '../recipe/lines';
import {
  IN_TIME,
  LEAVE,
  NO_INTERRUPTS,
  timeOverLines,
  type Interrupts,
  type OnTimeout,
} from '../recipe/loops';
import type { OwnProgram } from '../recipe/ownProgram';
import { devicesOf } from '../devices/ofRobot';
import { complement } from '../steps/condition/complement';
import type { Condition } from '../steps/condition/condition';
import { conditionLines } from '../steps/condition/lines';
import type { MotionStep } from '../steps/descriptions';
import type { Making } from '../steps/recipeOf';
import type { Blocks } from './blocks';
import { recipeFor } from './recipes';

/** A step where it is made, and how headings are counted there. */
export interface Made {
  planned: PlannedStep;
  at: HeadingsAt;
}

/** What all calls of a program have in common. */
export interface Writing {
  program: OwnProgram;
  blocks: Blocks;
  /** Some drive keeps the encoders' difference that the last turn left. */
  keepsBalance: boolean;
}

const lookedAt = ({ planned, at }: Made) => ({
  aboutRad: planned.to.headingRad,
  zeroRad: at.zeroRad,
});

const onTimeoutOf = (step: MotionStep): OnTimeout =>
  'onTimeout' in step ? step.onTimeout : undefined;

/** A condition that ends a step. */
function endingLines(condition: Condition, made: Made, { program }: Writing): Interrupts {
  const { step } = made.planned;
  const { before, each, isSo, isOver } = conditionLines(condition, program, lookedAt(made));
  return {
    before,
    each: [
      ...each,
      `if ${isSo}:`,
      [LEAVE],
      ...(isOver === null ? [] : [`if ${isOver}:`, timeOverLines(onTimeoutOf(step))]),
    ],
  };
}

/** What is watched and done while a step is made. */
function reactionLines(made: Made, writing: Writing): Interrupts {
  const { reaction } = made.planned;
  if (reaction === undefined) return NO_INTERRUPTS;
  const { program, blocks } = writing;
  const at = lookedAt(made);
  const on = conditionLines(reaction.on, program, at, ' ON');
  const off = conditionLines(complement(reaction.on, reaction.hysteresis), program, at, ' OFF');
  const calls = (steps: readonly MotionStep[]): Line[] =>
    steps.flatMap((step) => {
      const making: Making = {
        planned: made.planned,
        program,
        zeroRad: at.zeroRad,
        interrupts: NO_INTERRUPTS,
        isMeanwhile: true,
      };
      const recipe = recipeFor(step, making);
      return recipe === null ? [] : [blocks.call(recipe)];
    });
  return {
    before: ['set IT IS SO to 0', ...on.before],
    each: [
      'if IT IS SO = 0:',
      [...on.each, `if ${on.isSo}:`, ['set IT IS SO to 1', ...off.before, ...calls(reaction.up)]],
      'otherwise:',
      [
        ...off.each,
        `if ${off.isSo}:`,
        ['set IT IS SO to 0', ...on.before, ...calls(reaction.down)],
      ],
    ],
  };
}

function interruptsOf(made: Made, writing: Writing): Interrupts {
  // Also of a kind that ends by its condition itself: a program is told of it all the same.
  const { step } = made.planned;
  const until = 'until' in step ? step.until : undefined;
  const reaction = reactionLines(made, writing);
  const ending = until === undefined ? NO_INTERRUPTS : endingLines(until, made, writing);
  return {
    before: [...reaction.before, ...ending.before],
    each: [...reaction.each, ...ending.each],
  };
}

/** The heading is set to a number, or zeroed; a robot without a sensor for it adds what is missing. */
export function headingSetLine({ program }: Writing, headingRad: number): Line {
  const { robot, heading } = program;
  const value = figureText(program.angle(headingRad));
  if (devicesOf(robot, 'heading sensor').length === 0) {
    return `set HEADING ADDED to HEADING ADDED + ${value} - ${heading}`;
  }
  return robot.program.setsHeading === 'zero' ? `zero ${heading}` : `set ${heading} to ${value}`;
}

/** The call of a step's block; null: there is nothing to type. */
function callOf(made: Made, writing: Writing): string | null {
  const { planned, at } = made;
  const interrupts = interruptsOf(made, writing);
  const { program, blocks } = writing;
  const recipe = recipeFor(planned.step, { planned, program, zeroRad: at.zeroRad, interrupts });
  if (recipe === null) return null;
  const isOwn = interrupts.each.length > 0;
  return blocks.call(
    isOwn ? { ...recipe, name: `${recipe.name}, step ${planned.number}` } : recipe,
  );
}

/** A step that is made once more when its time was over, and gives up then. */
function againLines(made: Made, call: string, writing: Writing): Line[] {
  const { step, number } = made.planned;
  const last = { ...step, onTimeout: 'fail' } as MotionStep;
  const once = callOf({ ...made, planned: { ...made.planned, step: last } }, writing);
  return [
    `set ${IN_TIME} to 1`,
    `${number}: ${call}`,
    `if ${IN_TIME} = 0:`,
    once === null ? [] : [`${number}: ${once}`],
  ];
}

/** The lines that a program has for a step: the call of its block, and what its heading is taken for after it. */
export function callLines(made: Made, writing: Writing): Line[] {
  const { planned, at } = made;
  const call = callOf(made, writing);
  const calls = (): Line[] => {
    if (call === null) return [];
    return onTimeoutOf(planned.step) === 'again'
      ? againLines(made, call, writing)
      : [`${planned.number}: ${call}`];
  };
  const turns = planned.angleRad !== 0 || at.setsRad !== null;
  return [
    ...calls(),
    ...(at.setsRad === null ? [] : [headingSetLine(writing, at.setsRad - at.zeroRad)]),
    ...(writing.keepsBalance && turns ? [`set BALANCE to ${balanceNow(writing.program)}`] : []),
  ];
}
