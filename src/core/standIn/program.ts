import { z } from 'zod';
import type { Pose } from '../geometry/pose';
import type { Robot } from '../robot';
import { FLOOR_MIDDLE, OPEN_FLOOR } from '../simulate/floor';
import { createMachine } from '../simulate/machine';
import type { Controller } from '../control/controller';
import { drive } from '../control/drive';
import { rest, settled } from '../control/rest';
import { timeoutS } from '../control/settings';
import { expectedStraightS, straight } from '../control/straight';
import { turn, turnTimeoutS } from '../control/turn';
import { turnSchoolSchema } from '../control/turn/schema';

/** A step of a short bench program. */
export const benchStepSchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('turn'),
    angleRad: z.number().min(-20).max(20),
    how: turnSchoolSchema,
  }),
  z.object({
    kind: z.literal('straight'),
    distanceM: z.number().min(-3).max(3),
    speedMPerS: z.number().min(0.02).max(1),
    holdHeading: z.boolean(),
  }),
  z.object({ kind: z.literal('wait'), durationS: z.number().min(0).max(60) }),
]);

export type BenchStep = z.output<typeof benchStepSchema>;

/** Truth during a program, since its start: what was turned and where the wheels are. */
export interface DriveSample {
  tS: number;
  pose: Pose;
  leftM: number;
  rightM: number;
}

/** The gain of a heading that is held, m/s per radian. */
const HOLD_GAIN = 1.2;
/** Until it is measured, the robot has come to rest. */
const MEASURED_AFTER_S = 0.25;

/** The motion of a step, as the program on the robot makes it. */
function controllerOf(step: BenchStep, robot: Robot): Controller {
  switch (step.kind) {
    case 'turn': {
      const { angleRad, how } = step;
      const motion = { angleRad, how, fromReadingRad: null };
      const limit = turnTimeoutS(how, angleRad);
      return settled(turn({ ...motion, timeoutS: limit }, robot.trackM));
    }
    case 'straight': {
      const { distanceM, speedMPerS, holdHeading } = step;
      const keep = holdHeading
        ? ({ strategy: 'heading-hold', gainMPerSPerRad: HOLD_GAIN, headingRad: null } as const)
        : ({ strategy: 'open-loop' } as const);
      const limit = timeoutS(expectedStraightS(distanceM, speedMPerS, robot));
      return settled(straight({ distanceM, speedMPerS, keep, timeoutS: limit }, robot));
    }
    case 'wait':
      return rest(step.durationS);
  }
}

/**
 * Run a short program on a simulated robot on an open floor.
 *
 * @param robot the true one; its gyro's drift is that of the moment
 * @param seed of all its scatter
 * @returns the truth after each loop of the program; pose from the start, headings unwrapped
 */
export function runBenchProgram(
  robot: Robot,
  steps: readonly BenchStep[],
  seed: number,
): DriveSample[] {
  const machine = createMachine(robot, OPEN_FLOOR, FLOOR_MIDDLE, seed, 0);
  const samples: DriveSample[] = [];
  const note = () => {
    const { xM, yM, headingRad } = machine.pose;
    samples.push({
      tS: machine.readings.timeS,
      pose: { xM: xM - FLOOR_MIDDLE.xM, yM: yM - FLOOR_MIDDLE.yM, headingRad },
      leftM: machine.readings.leftM,
      rightM: machine.readings.rightM,
    });
  };
  note();
  for (const step of steps) drive(machine, controllerOf(step, robot), note);
  drive(machine, rest(MEASURED_AFTER_S), note);
  return samples;
}
