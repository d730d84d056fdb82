import { balanceFromHere, balanceNow } from '../../recipe/balance';
import { figure } from '../../recipe/figure';
import { limitLines, motionLines, leaveIf, STOPPED } from '../../recipe/loops';
import { speedFigure, type CommandLaw } from '../../recipe/motors';
import type { OwnProgram } from '../../recipe/ownProgram';
import { beginAt, rollingAt, ROLLING_WORDS, speedUp, trapezoidLines } from '../../recipe/profile';
import { significantDecimals } from '../../recipe/significant';
import { heldByHeading, runSteered, type SteeringLines } from '../../recipe/steering';
import { profileAcceleration } from '../../control/straight/profile';
import { direction, headingAtStart, limitOf, type Making, type RecipeOf } from '../recipeOf';
import { balanceGain } from '.';
import type { StraightStep } from './description';

function byEncoders(step: StraightStep, program: OwnProgram, law: CommandLaw): SteeringLines {
  const gain = (law.perMPerS * balanceGain(step, program.robot)) / program.perM;
  const isPlanned = (step.holds ?? 'planned') === 'planned';
  return {
    words: isPlanned ? 'kept by the encoders since the last turn' : 'kept by the encoders',
    parameters: { GAIN: figure(gain, significantDecimals(gain), law.unit) },
    // From the last turn on the difference is to stay as it was then.
    before: isPlanned ? [`set KEEP to BALANCE - (${balanceNow(program)})`] : ['set KEEP to 0'],
    each: [`set STEER to GAIN * (KEEP - (${balanceFromHere(program)}))`],
  };
}

const NOTHING: SteeringLines = {
  words: 'not kept straight',
  parameters: {},
  before: ['set STEER to 0'],
  each: [],
};

function keptBy(step: StraightStep, making: Making, law: CommandLaw): SteeringLines {
  const { program } = making;
  const { strategy = 'heading-hold', holds = 'planned', gainMPerSPerRad } = step;
  const headingRad = holds === 'planned' ? headingAtStart(making) : null;
  const ways = {
    'heading-hold': () => heldByHeading(program, law, gainMPerSPerRad, headingRad),
    'encoder-balance': () => byEncoders(step, program, law),
    'open-loop': () => NOTHING,
  };
  return ways[strategy]();
}

export const straightRecipe: RecipeOf<StraightStep> = (step, making) => {
  const { program, interrupts, planned } = making;
  const { robot } = program;
  const { rollsOut = false, fromMPerS } = planned;
  const isCarried = fromMPerS !== undefined;
  const { distanceM, speedMPerS, ramp = true } = step;
  const law = program.law(speedMPerS);
  const kept = keptBy(step, making, law);
  const toldM = Math.max(0, Math.abs(distanceM) - robot.program.coastM);
  return {
    name: `drive straight${ramp ? '' : ' at once'}, ${kept.words}${isCarried ? ROLLING_WORDS : ''}${rollsOut ? ', rolling on' : ''}`,
    parameters: {
      DISTANCE: program.travel(toldM),
      DIRECTION: direction(distanceM < 0),
      SPEED: speedFigure(law, speedMPerS),
      ...rollingAt(law, fromMPerS),
      ...kept.parameters,
      LIMIT: limitOf(making),
    },
    lines: motionLines(
      [
        ...program.countFromHere,
        ...(ramp ? [beginAt(law, fromMPerS)] : ['set NOW to SPEED']),
        ...kept.before,
      ],
      [
        `set LEFT OVER to DISTANCE - DIRECTION * ${program.way}${isCarried ? ' + CARRIED' : ''}`,
        ...leaveIf('LEFT OVER <= 0'),
        ...limitLines(step.onTimeout),
        ...(ramp && !rollsOut
          ? trapezoidLines(program, law, profileAcceleration(robot), speedMPerS)
          : []),
        ...(rollsOut ? [speedUp(program, law)] : []),
        ...kept.each,
        runSteered(program),
      ],
      interrupts,
      program.loop,
      // What it has rolled too far is part of the next one's way.
      rollsOut ? ['set CARRIED to smallest of (0, LEFT OVER)'] : STOPPED,
    ),
  };
};
