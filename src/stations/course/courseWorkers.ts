import { wrap, type Remote } from 'comlink';
import type { Simulation } from '../../core/forecast/prepare';
import type { ForecastWorker } from '../../workers/forecast.worker';
import type { NumberedRun, SimulateWorker } from '../../workers/simulate.worker';
import { faultOf } from '../inWorker';

interface Workers {
  simulators: Remote<SimulateWorker>[];
  forecaster: Remote<ForecastWorker>;
  /** Fails when one of them does. */
  fault: Promise<never>;
  terminate(): void;
}

/** A worker is given so many runs at a time: a cancelled one is free again at once. */
const PORTION = 5;

/** Two workers at least, and no more than leave the page a core. */
const workerCount = () => Math.max(2, Math.min(6, navigator.hardwareConcurrency - 1));

let workers: Workers | null = null;

function startWorkers(): Workers {
  const simulators = Array.from(
    { length: workerCount() },
    () =>
      new Worker(new URL('../../workers/simulate.worker.ts', import.meta.url), { type: 'module' }),
  );
  const forecaster = new Worker(new URL('../../workers/forecast.worker.ts', import.meta.url), {
    type: 'module',
  });
  const all = [...simulators, forecaster];
  return {
    simulators: simulators.map((worker) => wrap<SimulateWorker>(worker)),
    forecaster: wrap<ForecastWorker>(forecaster),
    fault: Promise.race(all.map(faultOf)),
    terminate: () => all.forEach((worker) => worker.terminate()),
  };
}

/**
 * Work in the workers of the course, which live as long as the page: the first work starts them, and after a fault new
 * ones are started.
 */
export function inCourseWorkers<T>(work: (workers: Workers) => Promise<T>): Promise<T> {
  const mine = (workers ??= startWorkers());
  return Promise.race([work(mine), mine.fault]).catch((error: unknown) => {
    mine.terminate();
    if (workers === mine) workers = null;
    throw error;
  });
}

/**
 * Simulate runs 0 to `count`, a few at a time in each of the simulators.
 *
 * @param take is given each few as they are done
 * @param isCancelled asked before each few
 */
export async function simulatePortions(
  simulators: Workers['simulators'],
  simulation: Simulation,
  count: number,
  take: (portion: readonly NumberedRun[]) => void,
  isCancelled: () => boolean,
): Promise<void> {
  let given = 0;
  const simulate = async (simulator: Remote<SimulateWorker>) => {
    await simulator.begin(simulation);
    while (given < count && !isCancelled()) {
      const from = given;
      given = Math.min(count, from + PORTION);
      const portion = await simulator.runs(from, given);
      if (!isCancelled()) take(portion);
    }
  };
  await Promise.all(simulators.map(simulate));
}
