import type { Pose } from '../geometry/pose';
import { prepare, type Prepared, type Simulation } from './prepare';
import { simulateRun } from './run';
import type { SimulatedRun } from './simulatedRun';

/** One moment of the first run: the truth, and what the program read. */
export interface TraceSample extends Pose {
  tS: number;
  /** Which of the motions that it makes, the first 0. */
  step: number;
  headingReadingRad: number;
  leftEncoderM: number;
  rightEncoderM: number;
}

const TRACE_PERIOD_S = 0.02;

/** A path is kept in points so long apart. */
const PATH_PERIOD_S = 0.1;

/**
 * Simulate runs `from` (included) to `to` (excluded) of a simulation, one after the other.
 *
 * @param onRun sees each run when it is done, and its path: x, y pairs in metres, every tenth of a second
 */
export function simulateRange(
  simulation: Simulation,
  from: number,
  to: number,
  onRun: (runIndex: number, run: SimulatedRun, path: Float32Array) => void,
  prepared: Prepared = prepare(simulation),
): void {
  for (let runIndex = from; runIndex < to; runIndex += 1) {
    const path: number[] = [];
    let next = 0;
    const run = simulateRun(simulation, prepared, runIndex, (machine) => {
      if (machine.readings.timeS < next) return;
      next = machine.readings.timeS + PATH_PERIOD_S - 1e-9;
      path.push(machine.pose.xM, machine.pose.yM);
    });
    path.push(run.end.xM, run.end.yM);
    onRun(runIndex, run, Float32Array.from(path));
  }
}

/** Truth and readings of one run, every 20 ms. */
export function traceRun(
  simulation: Simulation,
  runIndex: number,
  prepared: Prepared = prepare(simulation),
): TraceSample[] {
  const trace: TraceSample[] = [];
  let next = 0;
  simulateRun(simulation, prepared, runIndex, (machine, step) => {
    const { readings } = machine;
    if (readings.timeS < next) return;
    next = readings.timeS + TRACE_PERIOD_S - 1e-9;
    trace.push({
      tS: readings.timeS,
      xM: machine.pose.xM,
      yM: machine.pose.yM,
      headingRad: machine.pose.headingRad,
      step,
      headingReadingRad: readings.headingRad,
      leftEncoderM: readings.leftM,
      rightEncoderM: readings.rightM,
    });
  });
  return trace;
}
