import { setTeamManner, type Manner } from '../core/text/manner';
import type { SimulatedRun, Simulation } from '../core/simulate/run';
import { forecast, type Forecast } from '../core/simulate/summary';

/** Simulated runs, of which a forecast is to be made: the statistics are here, and not with the simulator. */
export interface ForecastRequest {
  job: number;
  simulation: Simulation;
  runs: SimulatedRun[];
  /** How its sentences are to be said. */
  manner: Manner;
}

export interface ForecastReply {
  job: number;
  forecast: Forecast;
}

self.onmessage = ({ data: { job, simulation, runs, manner } }: MessageEvent<ForecastRequest>) => {
  setTeamManner(manner);
  const reply: ForecastReply = { job, forecast: forecast(simulation, runs) };
  self.postMessage(reply);
};
