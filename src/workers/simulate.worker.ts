import { expose, transfer } from 'comlink';
import { prepare, type Prepared, type Simulation } from '../core/forecast/prepare';
import type { SimulatedRun } from '../core/forecast/simulatedRun';
import { simulateRange } from '../core/forecast/simulateRange';

/** A run and its path, by its number. */
export interface NumberedRun {
  index: number;
  run: SimulatedRun;
  path: Float32Array;
}

let current: { simulation: Simulation; prepared: Prepared } | null = null;

const simulator = {
  /** What is to be simulated from now on. */
  begin(simulation: Simulation): void {
    current = { simulation, prepared: prepare(simulation) };
  },

  /** Runs `from` (included) to `to` (excluded) of it. */
  runs(from: number, to: number): NumberedRun[] {
    const runs: NumberedRun[] = [];
    if (current === null) return runs;
    const { simulation, prepared } = current;
    simulateRange(
      simulation,
      from,
      to,
      (index, run, path) => runs.push({ index, run, path }),
      prepared,
    );
    return transfer(
      runs,
      runs.map(({ path }) => path.buffer),
    );
  },
};

export type SimulateWorker = typeof simulator;

expose(simulator);
