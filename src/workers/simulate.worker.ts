import {
  prepare,
  simulateRange,
  type Prepared,
  type SimulatedRun,
  type Simulation,
} from '../core/simulate/run';

/** What is to be simulated from now on, or some of its runs. */
export type SimulateRequest =
  { job: number; simulation: Simulation } | { job: number; from: number; to: number };

export interface SimulateReply {
  job: number;
  runs: { index: number; run: SimulatedRun; path: Float32Array }[];
}

let current: { simulation: Simulation; prepared: Prepared } | null = null;

self.onmessage = ({ data }: MessageEvent<SimulateRequest>) => {
  if ('simulation' in data) {
    const { simulation } = data;
    current = { simulation, prepared: prepare(simulation) };
    return;
  }
  if (current === null) return;
  const { simulation, prepared } = current;
  const { job, from, to } = data;
  const runs: SimulateReply['runs'] = [];
  const keep = (index: number, run: SimulatedRun, path: Float32Array) =>
    runs.push({ index, run, path });
  simulateRange(simulation, from, to, keep, prepared);
  const reply: SimulateReply = { job, runs };
  self.postMessage(reply, { transfer: runs.map(({ path }) => path.buffer) });
};
