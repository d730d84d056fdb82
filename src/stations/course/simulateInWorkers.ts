import type { SimulatedRun, Simulation } from '../../core/simulate/run';
import type { Forecast } from '../../core/simulate/summary';
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

const newWorker = () =>
  new Worker(new URL('../../workers/simulate.worker.ts', import.meta.url), { type: 'module' });

/** Two workers at least, and no more than leave the page a core. */
const workerCount = () => Math.max(2, Math.min(6, navigator.hardwareConcurrency - 1));

/** Simulate runs 0 to `count` in workers; the result does not depend on how many there are. */
export function simulateInWorkers(
  simulation: Simulation,
  count: number,
  onProgress: (done: number, landed: Float32Array[]) => void,
): SimulationJob {
  const workers = Array.from({ length: workerCount() }, newWorker);
  const runs: SimulatedRun[] = [];
  const paths: Float32Array[] = [];
  let done = 0;
  const end = () => workers.forEach((worker) => worker.terminate());
  const result = new Promise<SimulationResult>((resolve, reject) => {
    const receive = ({ data }: MessageEvent<SimulateReply>) => {
      if (data.kind === 'forecast') {
        end();
        resolve({ runs, paths, forecast: data.forecast });
        return;
      }
      for (const { index, run, path } of data.runs) {
        runs[index] = run;
        paths[index] = path;
      }
      done += data.runs.length;
      onProgress(
        done,
        data.runs.map(({ path }) => path),
      );
      if (done === count) ask(workers[0], { kind: 'summarise', simulation, runs });
    };
    for (const [i, worker] of workers.entries()) {
      worker.onmessage = receive;
      worker.onerror = (event) => {
        end();
        reject(new Error(`The simulation stopped: ${event.message}`));
      };
      const from = Math.floor((count * i) / workers.length);
      const to = Math.floor((count * (i + 1)) / workers.length);
      ask(worker, { kind: 'simulate', simulation, from, to });
    }
  });
  return { result, cancel: end };
}

const ask = (worker: Worker | undefined, request: SimulateRequest) => worker?.postMessage(request);
