import { PAST_CROSSING_M } from '../../control/followUntil';
import { figure } from '../../recipe/figure';
import { leaveIf } from '../../recipe/loops';
import { significant } from '../../recipe/significant';
import type { OwnProgram } from '../../recipe/ownProgram';
import { followRecipe } from '../followLines';
import { countLines } from '../lineLines';
import { withoutUnit, type RecipeOf } from '../recipeOf';
import { counterOf, middleOf, wayBack, withSensors } from '.';
import type { FollowLineStep } from './description';

/** What counts lines across, and how it then goes straight over one. */
function crossingLines(step: FollowLineStep, program: OwnProgram) {
  const counter = counterOf(step, program.robot);
  if (step.crossings === undefined || counter === null) return null;
  const lines = countLines(program, counter, step.darker, 'entering');
  const past = PAST_CROSSING_M * program.perM;
  return {
    parameters: { COUNT: figure(step.crossings, 0, ''), ...lines.parameters },
    before: [...lines.before, 'set STRAIGHT TO to -1'],
    ends: [
      ...lines.each,
      ...leaveIf('SEEN >= COUNT'),
      'if ON = 1:',
      [`set STRAIGHT TO to ${program.way} + ${significant(past)}`],
    ],
  };
}

export const followLineRecipe: RecipeOf<FollowLineStep> = (step, making) => {
  const { program } = making;
  const { own, other } = withSensors(step, program.robot);
  const isMissing = own === null || (step.astride !== undefined && other === null);
  const crossing = crossingLines(step, program);
  if (isMissing || (step.crossings !== undefined && crossing === null))
    return withoutUnit('follow a line');
  const middle = step.target ?? middleOf(step, own);
  const target =
    other === null
      ? program.reading(own, 'light', middle)
      : figure(
          program.reading(own, 'light', middleOf(step, own)).value -
            program.reading(other, 'light', middleOf(step, other)).value,
          1,
          program.reading(own, 'light', 0).unit,
        );
  const shown = program.read(own, 'light');
  const reading = other === null ? shown : `(${shown} - ${program.read(other, 'light')})`;
  return followRecipe(
    {
      name: `follow a line with ${shown}${other === null ? '' : ` and ${program.read(other, 'light')}`}${crossing === null ? '' : ', counting lines across'}`,
      speedMPerS: step.speedMPerS,
      lengthM: step.lengthM,
      onTimeout: step.onTimeout,
      reading,
      isRead: null,
      target,
      gainRadPerSPerShown:
        (wayBack(step, own, other) * step.gainRadPerS) / program.slope(own, 'light', middle),
      parameters: crossing?.parameters ?? {},
      before: crossing?.before ?? [],
      ends: crossing?.ends ?? [],
      straightOn: crossing === null ? null : `${program.way} < STRAIGHT TO`,
    },
    making,
  );
};
