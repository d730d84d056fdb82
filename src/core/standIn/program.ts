import type { Pose } from '../geometry/pose';
import type { Robot } from '../robot/robot';
import { FLOOR_MIDDLE, OPEN_FLOOR } from '../simulate/floor';
import { createMachine } from '../machine/machine';
import { drive } from '../control/drive';
import { rest } from '../control/rest';
import { controllerOf, type BenchStep } from './steps/benchStep';
import { NOTHING_ABOUT, onFloor, type Surroundings } from './surroundings';

/** Truth during a program, since its start: what was turned and where the wheels are. */
export interface DriveSample {
  tS: number;
  pose: Pose;
  leftM: number;
  rightM: number;
  /** How far the motors of attachments were turned by then, by unit; left out where none was. */
  attachmentDegrees?: Record<string, number>;
}

/** Until it is measured, the robot has come to rest. */
const MEASURED_AFTER_S = 0.25;

/**
 * Run a short program on a simulated robot on an open floor.
 *
 * @param robot the true one; its gyro's drift is that of the moment
 * @param seed of all its scatter
 * @param about walls and lines, told from where it begins
 * @returns the truth after each loop of the program; pose from the start, headings unwrapped
 */
export function runBenchProgram(
  robot: Robot,
  steps: readonly BenchStep[],
  seed: number,
  about: Surroundings = NOTHING_ABOUT,
): DriveSample[] {
  const table = { ...OPEN_FLOOR, ...onFloor(about, FLOOR_MIDDLE) };
  const machine = createMachine(robot, table, FLOOR_MIDDLE, seed, 0);
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
