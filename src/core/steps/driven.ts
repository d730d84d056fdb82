import type { Pose } from '../geometry/pose';
import { COMMAND_WAYS } from '../program/commands';
import type { InProgram, NewStepPlace } from './kind';

/** So far ahead in the direction in which the robot looks. */
export const ahead = (from: Pose, distanceM: number): Pose => ({
  xM: from.xM + distanceM * Math.cos(from.headingRad),
  yM: from.yM + distanceM * Math.sin(from.headingRad),
  headingRad: from.headingRad,
});

/** Until it moves as fast as it should. */
export const STARTING_S = 0.2;

/** Where nobody has tuned it on the robot. */
const USUAL_GAIN = 1.2;

/** The gain with which a new step holds its heading. */
export const newGain = ({ robot: { measured } }: NewStepPlace): number =>
  measured.gains['heading-hold'] ?? USUAL_GAIN;

/** How the speed of a step stands in programs. */
export const atSpeed = <S extends { speedMPerS: number }>() =>
  ({
    commanded: ({ speedMPerS }, robot, way) => COMMAND_WAYS[way].commanded(robot, speedMPerS),
    withCommand(step, robot, way, command) {
      const speedMPerS = COMMAND_WAYS[way].speed(robot, command);
      return speedMPerS === null || speedMPerS <= 0 ? null : { ...step, speedMPerS };
    },
  }) satisfies InProgram<S>['speed'];

/** How a step that corrects its heading as it drives does so. */
export const turningSteering = <S extends { speedMPerS: number; gainMPerSPerRad: number }>() =>
  ({
    of: ({ gainMPerSPerRad, speedMPerS }) => ({ gainMPerSPerRad, speedMPerS }),
    withGain: (step, gainMPerSPerRad) => ({ ...step, gainMPerSPerRad }),
    withSpeed: (step, speedMPerS) => ({ ...step, speedMPerS }),
  }) satisfies InProgram<S>['steering'];

/** How a step that drives at a speed and holds its heading stands in programs. */
export function drivenInProgram<S extends { speedMPerS: number; gainMPerSPerRad: number }>() {
  return {
    speed: atSpeed<S>(),
    steering: { ...turningSteering<S>(), holds: () => 'planned' },
  } satisfies Partial<InProgram<S>>;
}
