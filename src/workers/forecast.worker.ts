import type { SimulatedRun, Simulation } from '../core/simulate/run';
import { forecast, type Forecast } from '../core/simulate/summary';

/** Simulated runs, of which a forecast is to be made: the statistics are here, and not with the simulator. */
export interface ForecastRequest {
  job: number;
  simulation: Simulation;
  runs: SimulatedRun[];
}

export interface ForecastReply {
  job: number;
  forecast: Forecast;
}

self.onmessage = ({ data: { job, simulation, runs } }: MessageEvent<ForecastRequest>) => {
  const reply: ForecastReply = { job, forecast: forecast(simulation, runs) };
  self.postMessage(reply);
};
