import { wrap, type Remote } from 'comlink';
import { displaySettings } from '../../core/text/displaySettings';
import type { Simulation } from '../../core/forecast/prepare';
import type { SimulatedRun } from '../../core/forecast/run';
import type { Sensitivity } from '../../core/forecast/sensitivities';
import type { RareList } from '../../core/forecast/decisions';
import type { Forecast } from '../../core/forecast/summary';
import type { ForecastWorker } from '../../workers/forecast.worker';
import type { NumberedRun, SimulateWorker } from '../../workers/simulate.worker';
import { faultOf } from '../inWorker';

export interface SimulationResult {
  runs: SimulatedRun[];
  paths: Float32Array[];
  forecast: Forecast;
  /** Lists that few of them came to. */
  rare: RareList[];
}

export interface SimulationJob {
  result: Promise<SimulationResult>;
  cancel(): void;
}

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

/** They live as long as the page: the first simulation starts them. */
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

/** So many of the runs give first figures, before all are done. */
const FIRST_RUNS = 80;

interface Watch {
  onProgress(done: number, landed: Float32Array[]): void;
  /** Told once what the first runs say. */
  onFirst(forecast: Forecast): void;
}

/** Simulate runs 0 to `count` in workers; the result does not depend on how many there are. */
export function simulateInWorkers(
  simulation: Simulation,
  count: number,
  { onProgress, onFirst }: Watch,
): SimulationJob {
  workers ??= startWorkers();
  const { simulators, forecaster, fault } = workers;
  const runs: SimulatedRun[] = [];
  const paths: Float32Array[] = [];
  let cancelled = false;
  let given = 0;
  let done = 0;
  let isFirstAsked = count <= FIRST_RUNS;
  // Asked for when the first figures are told, so that these need not wait.
  let sensitivities: Promise<Sensitivity[] | null> | null = null;
  const askSensitivities = () => (sensitivities ??= forecaster.sensitivitiesOf(simulation));
  const forecastOf = async (
    some: SimulatedRun[],
    known: Sensitivity[] | null,
  ): Promise<Forecast> => {
    await forecaster.speakAs(displaySettings());
    return forecaster.forecast(simulation, some, known);
  };
  const take = (portion: readonly NumberedRun[]) => {
    for (const { index, run, path } of portion) {
      runs[index] = run;
      paths[index] = path;
    }
    done += portion.length;
    onProgress(
      done,
      portion.map(({ path }) => path),
    );
    if (isFirstAsked || done < FIRST_RUNS) return;
    // Portions come in as they are done: a hole among the first is filled a little later.
    const first = runs.slice(0, FIRST_RUNS).filter((run) => run !== undefined);
    isFirstAsked = first.length === FIRST_RUNS;
    if (!isFirstAsked || done === count) return;
    // What stops it is told by the forecast of all runs.
    forecastOf(first, null).then(
      (said) => {
        if (cancelled) return;
        onFirst(said);
        askSensitivities().catch(() => undefined);
      },
      () => undefined,
    );
  };
  const simulate = async (simulator: Remote<SimulateWorker>) => {
    await simulator.begin(simulation);
    while (given < count && !cancelled) {
      const from = given;
      given = Math.min(count, from + PORTION);
      const portion = await simulator.runs(from, given);
      if (!cancelled) take(portion);
    }
  };
  const whole = async (): Promise<SimulationResult> => {
    await Promise.all(simulators.map(simulate));
    // One that was cancelled is nobody's any more.
    if (cancelled) return new Promise(() => undefined);
    const forecast = await forecastOf(runs, await askSensitivities());
    return { runs, paths, forecast, rare: await forecaster.rareLists(simulation, runs) };
  };
  const result = Promise.race([whole(), fault]).catch((error: unknown) => {
    // After a fault new ones are started.
    workers?.terminate();
    workers = null;
    throw error;
  });
  return { result, cancel: () => (cancelled = true) };
}
