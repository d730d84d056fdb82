import type { DeviceOf } from '../../devices/device';
import type { Line } from '../../recipe/lines';
import { leaveIf, limitLines, loopOf, STOPPED } from '../../recipe/loops';
import { speedFigure } from '../../recipe/motors';
import { speedUp, startSlowly } from '../../recipe/profile';
import { lineShares } from '../../sensing/lineShares';
import { limitOf, withoutUnit, type RecipeOf } from '../recipeOf';
import { BACK_M, sidesOf } from '.';
import type { SquareOnLineStep } from './description';

export const squareOnLineRecipe: RecipeOf<SquareOnLineStep> = (step, making) => {
  const { program, interrupts } = making;
  const { left, right } = sidesOf(step, program.robot);
  if (left === null || right === null) return withoutUnit('square on a line');
  const law = program.law(step.speedMPerS);
  const lineIs = step.darker ? 'darker' : 'lighter';
  const enter = (unit: DeviceOf<'light sensor'>) =>
    program.reading(unit, 'light', lineShares(unit.behaviour, lineIs).enterShare);
  const isOn = (unit: DeviceOf<'light sensor'>, value: string) =>
    program.compare(unit, 'light', step.darker ? 'below' : 'above', value);
  const begin: Line[] = ['set LEFT ON to 0', 'set RIGHT ON to 0', startSlowly(law)];
  const limit = limitLines(step.onTimeout);
  // Each side goes on until its own sensor is on the line.
  const pass = loopOf(
    [
      ...interrupts.each,
      ...limit,
      `if ${isOn(left, 'LEFT ENTER')}:`,
      ['set LEFT ON to 1'],
      `if ${isOn(right, 'RIGHT ENTER')}:`,
      ['set RIGHT ON to 1'],
      speedUp(program, law),
      ...leaveIf('LEFT ON = 1 and RIGHT ON = 1'),
      program.run('(1 - LEFT ON) * NOW', '(1 - RIGHT ON) * NOW'),
    ],
    program.loop,
  );
  const isTwice = step.secondMPerS !== undefined;
  const again: Line[] = [
    'stop both motors',
    program.loop,
    ...program.countFromHere,
    ...loopOf(
      [
        ...interrupts.each,
        ...limit,
        ...leaveIf(`BACK <= -1 * (${program.way})`),
        program.run('-SPEED', '-SPEED'),
      ],
      program.loop,
    ),
    'set SPEED to SECOND SPEED',
    ...begin,
    ...pass,
  ];
  return {
    name: `square on a line${isTwice ? ' twice' : ''}${step.darker ? '' : ' lighter than the floor'}`,
    parameters: {
      SPEED: speedFigure(law, step.speedMPerS),
      ...(isTwice && {
        'SECOND SPEED': speedFigure(law, step.secondMPerS ?? 0),
        BACK: program.travel(BACK_M),
      }),
      'LEFT ENTER': enter(left),
      'RIGHT ENTER': enter(right),
      LIMIT: limitOf(making),
    },
    lines: [
      'restart the timer',
      ...interrupts.before,
      ...begin,
      ...pass,
      ...(isTwice ? again : []),
      ...STOPPED,
    ],
  };
};
