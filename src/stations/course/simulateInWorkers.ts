import { displaySettings } from '../../core/text/displaySettings';
import type { Simulation } from '../../core/forecast/prepare';
import type { SimulatedRun } from '../../core/forecast/simulatedRun';
import type { Sensitivity } from '../../core/forecast/sensitivities';
import type { RareList } from '../../core/forecast/decisions';
import type { Forecast } from '../../core/forecast/summary';
import type { NumberedRun } from '../../workers/simulate.worker';
import { inCourseWorkers, simulatePortions } from './courseWorkers';

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
  const runs: SimulatedRun[] = [];
  const paths: Float32Array[] = [];
  let cancelled = false;
  let done = 0;
  let isFirstAsked = count <= FIRST_RUNS;
  const result = inCourseWorkers(async ({ simulators, forecaster }): Promise<SimulationResult> => {
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
    await simulatePortions(simulators, simulation, count, take, () => cancelled);
    // One that was cancelled is nobody's any more.
    if (cancelled) return new Promise(() => undefined);
    const forecast = await forecastOf(runs, await askSensitivities());
    return { runs, paths, forecast, rare: await forecaster.rareLists(simulation, runs) };
  });
  return { result, cancel: () => (cancelled = true) };
}
