import { useEffect, useState } from 'react';
import type { Simulation } from '../../../core/forecast/prepare';
import { hangsOn } from '../../../core/forecast/sentence';
import { SOURCES } from '../../../core/sources/sources';
import { simulateInWorkers } from '../../course/simulateInWorkers';
import { SIMULATED_RUNS } from '../../course/useSimulation';

/** What a route's forecast hangs on: the sentence, and what measures it. */
export interface HangsOn {
  source: string;
  measuredBy: string | null;
  sentence: string;
}

export interface OverviewRoute {
  name: string;
  simulation: Simulation;
}

/** Simulates the route that was saved last; null until it is done, and where nothing unmeasured matters. */
export function useHangsOn(route: OverviewRoute | null): HangsOn | null {
  const [found, setFound] = useState<HangsOn | null>(null);
  useEffect(() => {
    if (route === null || route.simulation.route.steps.length === 0) return undefined;
    const job = simulateInWorkers(route.simulation, SIMULATED_RUNS, {
      onProgress: () => undefined,
      onFirst: () => undefined,
    });
    job.result.then(
      ({ forecast }) => {
        const sentence = hangsOn(forecast, route.name);
        const source = SOURCES.find(({ name }) => name === forecast.measureFirst);
        if (sentence === null || source === undefined) return;
        setFound({ source: source.name, measuredBy: source.measuredBy, sentence });
      },
      // Without it the overview says what it says by age.
      () => undefined,
    );
    return job.cancel;
  }, [route]);
  return found;
}
