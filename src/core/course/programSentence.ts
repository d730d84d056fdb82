import { kindOfStep } from '../steps/registry';
import type { MotionStep } from '../steps/step';
import type { Robot } from '../robot/robot';
import { counted, errorLength, number } from '../text/quantities';
import { COMMAND_WAYS, commandsPower, turnUnit } from '../program/commands';
import type { Travel } from '../robot/programWays';
import type { ProgramProfile } from '../robot/profile';
import type { Motion } from '../steps/kind';
import { gainInProgram } from '../program/gain';
import { pivotSteering, spinSteering } from '../program/steering';
import { commandedTravel } from '../program/commandedTravel';
import { TRAVEL_WAYS } from '../program/travels';

/** How programs count, in a sentence. */
export function programSentence({
  command,
  travel,
  steering,
  forwardSign,
  turnSign,
  regulated,
  angles,
  speeds,
}: ProgramProfile): string {
  if (command === null && travel === null) return 'Nobody has said yet.';
  const parts = [
    ...(command === null ? [] : [COMMAND_WAYS[command].words]),
    ...(travel === null ? [] : [`travel in ${travel}`]),
    ...(steering === null ? [] : [`a steering of ${pivotSteering(steering)} lets one wheel stand`]),
    ...(commandsPower(command) && regulated ? ['held whatever the battery'] : []),
    ...(forwardSign === -1 ? ['minus drives forward'] : []),
    ...(turnSign === -1 ? ['plus turns to the left'] : []),
    ...(angles === 'radians' ? ['headings in radians'] : []),
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

/** What of a plan tells the signs of a step's commands: how far it drives, and turns to the left; 0 for what it does not. */
type Signs = Pick<Motion, 'distanceM' | 'angleRad'>;

/** With which steering a turn is told on the spot, and which way. */
function steeringText({ steering, turnSign, command }: ProgramProfile, angleRad: number): string {
  const turnsByRate = command !== null && COMMAND_WAYS[command].turnUnit !== undefined;
  const full = steering === null || turnsByRate ? null : spinSteering(steering);
  return full === null || angleRad === 0
    ? ''
    : `, steering ${number(-turnSign * Math.sign(angleRad) * full)}`;
}

/** How fast, as programs say it, with its sign where it backs; why not, where that was not measured. */
function commandText(robot: Robot, step: MotionStep, { distanceM, angleRad }: Signs): string[] {
  const { command, forwardSign, turnSign } = robot.program;
  const { speed } = kindOfStep(step).inProgram;
  if (command === null || speed === undefined) return [];
  const way = COMMAND_WAYS[command];
  const value = speed.commanded(step, robot, command);
  if (value === null) return [way.lacks];
  if (speed.isTurn === true) {
    const sign = way.turnUnit === undefined || angleRad === 0 ? 1 : -turnSign * Math.sign(angleRad);
    const told = `at ${number(sign * value, way.decimals)} ${turnUnit(command)}`;
    return [told + steeringText(robot.program, angleRad)];
  }
  const sign = forwardSign * (distanceM < 0 ? -1 : 1);
  return [`at ${number(sign * value, way.decimals)} ${way.unit}`];
}

/** The gain with which a step holds its heading, as programs steer; null where it has none, or that cannot be told. */
export function stepGainInProgram(robot: Robot, step: MotionStep): string | null {
  const steering = kindOfStep(step).inProgram.steering?.of(step);
  if (steering == null) return null;
  const gain = gainInProgram(robot, steering.gainMPerSPerRad, steering.speedMPerS);
  return gain && `gain ${number(gain.perAngle, 2)} ${gain.unit} per ${gain.angle}`;
}

/** How far, as programs say it; what the robot rolls on by itself is taken off, and said. */
function farText(robot: Robot, way: Travel, distanceM: number): string {
  const { decimals, unit } = TRAVEL_WAYS[way];
  const { coastM } = robot.program;
  const rollsOn = coastM === 0 ? '' : ` (it rolls on by ${errorLength(coastM)})`;
  return `${number(commandedTravel(robot, way, distanceM), decimals)} ${unit}${rollsOn}`;
}

/** What else whoever types a step should know, in sentences, as it was measured. */
export const notesOnStep = (robot: Robot, step: MotionStep): string[] =>
  kindOfStep(step).inProgram.notes?.(step, robot) ?? [];

/**
 * A step as a program says it: "3.98 rotations at 43 %, gain 0.31 of steering per °"; null where nobody has said how programs
 * count.
 *
 * @param signs of the planned step
 */
export function stepInProgram(
  robot: Robot,
  step: MotionStep,
  signs: Signs = { distanceM: 0, angleRad: 0 },
): string | null {
  const { travel: way } = robot.program;
  const { travel } = kindOfStep(step).inProgram;
  const far =
    way === null || travel === undefined ? [] : [farText(robot, way, travel.distanceM(step))];
  const parts = [...far, ...commandText(robot, step, signs)];
  if (parts.length === 0) return null;
  const gain = stepGainInProgram(robot, step);
  return `${parts.join(' ')}${gain === null ? '' : `, ${gain}`}`;
}

/** Wheel and track, for kits whose programs compute with them; null for all others. */
export const numbersToType = ({ program, wheelDiameterM, trackM }: Robot): string | null =>
  program.command !== null && COMMAND_WAYS[program.command].turnUnit !== undefined
    ? `Type into the program: wheels of ${errorLength(wheelDiameterM, 1)}, a track of ${errorLength(trackM, 1)}.`
    : null;
