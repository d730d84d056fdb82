import { teamManner } from '../../core/text/manner';
import type { SimulatedRun, Simulation } from '../../core/simulate/run';
import type { Forecast } from '../../core/simulate/summary';
import type { ForecastReply, ForecastRequest } from '../../workers/forecast.worker';
import type { SimulateReply, SimulateRequest } from '../../workers/simulate.worker';

export interface SimulationResult {
  runs: SimulatedRun[];
  paths: Float32Array[];
  forecast: Forecast;
}

export interface SimulationJob {
  result: Promise<SimulationResult>;
  cancel(): void;
}

interface Workers {
  simulators: Worker[];
  forecaster: Worker;
}

/** A worker is given so many runs at a time: a cancelled one is free again at once. */
const PORTION = 5;

/** Two workers at least, and no more than leave the page a core. */
const workerCount = () => Math.max(2, Math.min(6, navigator.hardwareConcurrency - 1));

let workers: Workers | null = null;
let jobs = 0;

/** They live as long as the page: the first simulation starts them. */
const startWorkers = (): Workers => ({
  simulators: Array.from(
    { length: workerCount() },
    () =>
      new Worker(new URL('../../workers/simulate.worker.ts', import.meta.url), { type: 'module' }),
  ),
  forecaster: new Worker(new URL('../../workers/forecast.worker.ts', import.meta.url), {
    type: 'module',
  }),
});

/** After a fault new ones are started. */
function dropWorkers(): void {
  workers?.simulators.forEach((worker) => worker.terminate());
  workers?.forecaster.terminate();
  workers = null;
}

const ask = (worker: Worker, request: SimulateRequest | ForecastRequest) =>
  worker.postMessage(request);

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
  const { simulators, forecaster } = workers;
  jobs += 1;
  const job = jobs;
  const listening = new AbortController();
  const { signal } = listening;
  const runs: SimulatedRun[] = [];
  const paths: Float32Array[] = [];
  let given = 0;
  let done = 0;
  let isFirstAsked = count <= FIRST_RUNS;
  const give = (worker: Worker) => {
    const from = given;
    given = Math.min(count, from + PORTION);
    if (given > from) ask(worker, { job, from, to: given });
  };
  const take = (worker: Worker, reply: SimulateReply) => {
    for (const { index, run, path } of reply.runs) {
      runs[index] = run;
      paths[index] = path;
    }
    done += reply.runs.length;
    give(worker);
    onProgress(
      done,
      reply.runs.map(({ path }) => path),
    );
    if (!isFirstAsked && done >= FIRST_RUNS) {
      // Portions come in as they are done: a hole among the first is filled a little later.
      const first = runs.slice(0, FIRST_RUNS).filter((run) => run !== undefined);
      isFirstAsked = first.length === FIRST_RUNS;
      if (isFirstAsked && done < count)
        ask(forecaster, { job, simulation, runs: first, manner: teamManner() });
    }
    if (done === count) ask(forecaster, { job, simulation, runs, manner: teamManner() });
  };
  const result = new Promise<SimulationResult>((resolve, reject) => {
    const fail = (event: ErrorEvent) => {
      listening.abort();
      dropWorkers();
      reject(new Error(`The simulation stopped: ${event.message}`));
    };
    const finish = ({ data }: MessageEvent<ForecastReply>) => {
      if (data.job !== job) return;
      if (data.forecast.runs < count) {
        onFirst(data.forecast);
        return;
      }
      listening.abort();
      resolve({ runs, paths, forecast: data.forecast });
    };
    for (const worker of simulators) {
      const receive = ({ data }: MessageEvent<SimulateReply>) => {
        if (data.job === job) take(worker, data);
      };
      worker.addEventListener('message', receive, { signal });
      worker.addEventListener('error', fail, { signal });
      ask(worker, { job, simulation });
      give(worker);
    }
    forecaster.addEventListener('message', finish, { signal });
    forecaster.addEventListener('error', fail, { signal });
  });
  return { result, cancel: () => listening.abort() };
}
