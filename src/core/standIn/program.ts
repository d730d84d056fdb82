import { z } from 'zod';
import type { Pose } from '../geometry/pose';
import type { Robot } from '../robot';
import { FLOOR_MIDDLE, OPEN_FLOOR } from '../simulate/floor';
import { createMachine, type Machine } from '../simulate/machine';
import { turnSchoolSchema } from '../turns/schoolSchema';
import { runTurnSchool } from '../turns/schools';

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
export interface Moment {
  tS: number;
  pose: Pose;
  leftM: number;
  rightM: number;
}

const STEP_S = 0.002;
const HOLD_GAIN = 1.2;

function drive(
  machine: Machine,
  step: Extract<BenchStep, { kind: 'straight' }>,
  onLoop: () => void,
): void {
  const sign = Math.sign(step.distanceM);
  const travelled = () => (machine.leftEncoderM() + machine.rightEncoderM()) / 2;
  const from = travelled();
  const heading = machine.headingReadingRad();
  while (Math.abs(step.distanceM) - sign * (travelled() - from) > 0) {
    const left = Math.abs(step.distanceM) - sign * (travelled() - from);
    const speed = sign * Math.min(step.speedMPerS, Math.max(0.03, 1.5 * left));
    const turn = step.holdHeading ? HOLD_GAIN * (heading - machine.headingReadingRad()) : 0;
    machine.command(speed - turn / 2, speed + turn / 2);
    machine.advance();
    onLoop();
  }
  rest(machine, 0.4, onLoop);
}

function rest(machine: Machine, durationS: number, onLoop: () => void): void {
  machine.command(0, 0);
  const until = machine.timeS + durationS - 1e-9;
  while (machine.timeS < until) {
    machine.advance();
    onLoop();
  }
}

/**
 * Run a short program on a simulated robot on an open floor.
 *
 * @param robot the true one; its gyro's drift is that of the moment
 * @param seed of all its scatter
 * @returns the truth after each loop of the program; pose from the start, headings unwrapped
 */
export function runBenchProgram(robot: Robot, steps: readonly BenchStep[], seed: number): Moment[] {
  const machine = createMachine(robot, OPEN_FLOOR, FLOOR_MIDDLE, seed, 0, STEP_S);
  const moments: Moment[] = [];
  const note = () => {
    const { xM, yM, headingRad } = machine.pose;
    moments.push({
      tS: machine.timeS,
      pose: { xM: xM - FLOOR_MIDDLE.xM, yM: yM - FLOOR_MIDDLE.yM, headingRad },
      leftM: machine.leftEncoderM(),
      rightM: machine.rightEncoderM(),
    });
  };
  note();
  for (const step of steps) {
    if (step.kind === 'turn') runTurnSchool(machine, robot, step.how, step.angleRad, note);
    else if (step.kind === 'straight') drive(machine, step, note);
    else rest(machine, step.durationS, note);
  }
  return moments;
}
