import { figure, seconds } from '../../recipe/figure';
import type { Figure, Line } from '../../recipe/lines';
import { leaveIf, loopOf } from '../../recipe/loops';
import { limitOf, withoutUnit, type RecipeOf } from '../recipeOf';
import { motorOf, targetOf, THERE_RAD } from '.';
import type { AttachmentStep } from './description';

const PERCENT = 100;
const DEGREES_PER_RAD = 180 / Math.PI;

/** What its motor is told; it goes on by itself. */
function toldOf(step: AttachmentStep, name: string, target: { rad: number } | null) {
  const power = figure(PERCENT * step.share, 1, '%');
  const parameters: Record<string, Figure> =
    target === null
      ? { POWER: power, SECONDS: seconds(step.seconds ?? 0) }
      : {
          ANGLE: figure(target.rad * DEGREES_PER_RAD, 1, '°'),
          POWER: { ...power, value: Math.abs(power.value) },
        };
  const line =
    target === null ? `turn ${name} at POWER for SECONDS` : `move ${name} to ANGLE at POWER`;
  return { parameters, line };
}

export const attachmentRecipe: RecipeOf<AttachmentStep> = (step, making) => {
  const { program, interrupts, isMeanwhile } = making;
  const unit = motorOf(step, program.robot);
  if (unit === null) return withoutUnit('move an arm');
  const name = program.read(unit, 'angle');
  const target = targetOf(step, program.robot);
  const { parameters, line } = toldOf(step, name, target);
  const verb = target === null ? 'turn' : 'move';
  if (!step.wait || isMeanwhile === true)
    return { name: `${verb} ${name} and go on`, parameters, lines: [line] };
  const waits = (each: Line[]): Line[] => [
    'stop both motors',
    'restart the timer',
    ...interrupts.before,
    line,
    ...loopOf([...interrupts.each, ...each], program.loop),
  ];
  if (target === null) {
    return {
      name: `turn ${name} for a time`,
      parameters,
      lines: waits(leaveIf('timer >= SECONDS')),
    };
  }
  const near = (THERE_RAD + 3 * target.sdRad) * DEGREES_PER_RAD;
  return {
    name: `move ${name} and wait for it`,
    parameters: { ...parameters, NEAR: figure(near, 1, '°'), LIMIT: limitOf(making) },
    lines: waits([
      ...leaveIf(`size of (${name} - ANGLE) <= NEAR`),
      'if timer > LIMIT:',
      ['give up'],
    ]),
  };
};
