import { kindOfStep } from '../steps/registry';
import type { Step } from '../steps/step';
import type { Robot } from '../robot';
import { counted, errorLength, number } from '../text/quantities';
import { COMMAND_WAYS, commandsPower, turnUnit } from './commands';
import type { ProgramProfile, Travel } from './profile';
import { pivotSteering } from './steering';
import { toldTravel } from './toldTravel';
import { TRAVEL_WAYS } from './travels';

/** How programs count, in a sentence. */
export function programSentence({ command, travel, steering, speeds }: ProgramProfile): string {
  if (command === null && travel === null) return 'Nobody has said yet.';
  const parts = [
    ...(command === null ? [] : [COMMAND_WAYS[command].words]),
    ...(travel === null ? [] : [`travel in ${travel}`]),
    ...(steering === null ? [] : [`a steering of ${pivotSteering(steering)} lets one wheel stand`]),
  ];
  const said = parts.join(', ');
  const timed = commandsPower(command) ? ` ${counted(speeds.length, 'timed drive')}.` : '';
  return `${said.charAt(0).toUpperCase()}${said.slice(1)}.${timed}`;
}

/** What is not known of it and is asked for. */
export const programWants = ({ command, speeds }: ProgramProfile): string[] =>
  commandsPower(command) && new Set(speeds.map(({ percent }) => percent)).size < 2
    ? ['How fast is it at which power? Time two drives, each at another power.']
    : [];

/** How fast, as programs say it; why not, where that was not measured. */
function commandText(robot: Robot, step: Step): string[] {
  const { command } = robot.program;
  const { speed } = kindOfStep(step).inProgram;
  if (command === null || speed === undefined) return [];
  const way = COMMAND_WAYS[command];
  const value = speed.told(step, robot, command);
  const unit = speed.isTurn === true ? turnUnit(command) : way.unit;
  return [value === null ? way.lacks : `at ${number(value, way.decimals)} ${unit}`];
}

/** How far, as programs say it; what the robot rolls on by itself is taken off, and said. */
function farText(robot: Robot, way: Travel, distanceM: number): string {
  const { decimals, unit } = TRAVEL_WAYS[way];
  const { coastM } = robot.program;
  const rollsOn = coastM === 0 ? '' : ` (it rolls on by ${errorLength(coastM)})`;
  return `${number(toldTravel(robot, way, distanceM), decimals)} ${unit}${rollsOn}`;
}

/** What else whoever types a step should know, in sentences, as it was measured. */
export const notesOnStep = (robot: Robot, step: Step): string[] =>
  kindOfStep(step).inProgram.notes?.(step, robot) ?? [];

/** A step as a program says it: "3.98 rotations at 43 %"; null where nobody has said how programs count. */
export function stepInProgram(robot: Robot, step: Step): string | null {
  const { travel: way } = robot.program;
  const { travel } = kindOfStep(step).inProgram;
  const far =
    way === null || travel === undefined ? [] : [farText(robot, way, travel.distanceM(step))];
  const parts = [...far, ...commandText(robot, step)];
  return parts.length === 0 ? null : parts.join(' ');
}

/** Wheel and track, for kits whose programs compute with them; null for all others. */
export const numbersToType = ({ program, wheelDiameterM, trackM }: Robot): string | null =>
  program.command !== null && COMMAND_WAYS[program.command].turnUnit !== undefined
    ? `Type into the program: wheels of ${errorLength(wheelDiameterM, 1)}, a track of ${errorLength(trackM, 1)}.`
    : null;
