import { simulateRange, type SimulatedRun, type Simulation } from '../core/simulate/run';
import { forecast, type Forecast } from '../core/simulate/summary';

export type SimulateRequest =
  | { kind: 'simulate'; simulation: Simulation; from: number; to: number }
  | { kind: 'summarise'; simulation: Simulation; runs: SimulatedRun[] };

export type SimulateReply =
  | { kind: 'runs'; runs: { index: number; run: SimulatedRun; path: Float32Array }[] }
  | { kind: 'forecast'; forecast: Forecast };

/** Runs are handed over in small lots, so that the page can draw them as they land. */
const LOT = 10;

const reply = (message: SimulateReply, transfer: Transferable[] = []) =>
  self.postMessage(message, { transfer });

self.onmessage = ({ data }: MessageEvent<SimulateRequest>) => {
  if (data.kind === 'summarise') {
    reply({ kind: 'forecast', forecast: forecast(data.simulation, data.runs) });
    return;
  }
  let lot: { index: number; run: SimulatedRun; path: Float32Array }[] = [];
  const flush = () => {
    reply(
      { kind: 'runs', runs: lot },
      lot.map(({ path }) => path.buffer),
    );
    lot = [];
  };
  simulateRange(data.simulation, data.from, data.to, (index, run, path) => {
    lot.push({ index, run, path });
    if (lot.length === LOT) flush();
  });
  if (lot.length > 0) flush();
};
