import { useCallback, useEffect, useRef, useState } from 'react';
import type { Simulation } from '../../core/forecast/prepare';
import type { Forecast } from '../../core/forecast/summary';
import { sentenceOf } from '../api';
import { simulateInWorkers, type SimulationJob, type SimulationResult } from './simulateInWorkers';

/** A hundred sampled robots, four runs each. */
export const SIMULATED_RUNS = 400;

const TELL_MS = 80;

/** The latest simulation: none, under way, done (perhaps of an older draft), or failed. */
export interface SimulationState {
  done: number;
  running: boolean;
  result: (SimulationResult & { of: Simulation }) | null;
  /** What the first runs of one under way say. */
  first: Forecast | null;
  /** Paths that have landed so far, for drawing them as they come. */
  landed: Float32Array[];
  problem: string | null;
}

const NOTHING: SimulationState = {
  done: 0,
  running: false,
  result: null,
  first: null,
  landed: [],
  problem: null,
};

export function useSimulation() {
  const [state, setState] = useState(NOTHING);
  const job = useRef<SimulationJob | null>(null);
  useEffect(() => () => job.current?.cancel(), []);

  const start = useCallback((simulation: Simulation) => {
    job.current?.cancel();
    // What stood there stays until there is something new to say.
    setState(({ result }) => ({ ...NOTHING, running: true, result }));
    // Told a few times a second: the screen is drawn anew each time.
    let waiting: Float32Array[] = [];
    let toldAt = 0;
    const started = simulateInWorkers(simulation, SIMULATED_RUNS, {
      onProgress: (done, paths) => {
        waiting.push(...paths);
        const now = performance.now();
        if (now - toldAt < TELL_MS && done < SIMULATED_RUNS) return;
        toldAt = now;
        const landed = waiting;
        waiting = [];
        setState((old) => ({ ...old, done, landed: [...old.landed, ...landed] }));
      },
      onFirst: (first) => setState((old) => ({ ...old, first })),
    });
    job.current = started;
    started.result.then(
      (result) =>
        setState(({ landed }) => ({
          ...NOTHING,
          done: SIMULATED_RUNS,
          result: { ...result, of: simulation },
          landed,
        })),
      (error: unknown) => setState({ ...NOTHING, problem: sentenceOf(error) }),
    );
  }, []);
  const cancel = useCallback(() => {
    job.current?.cancel();
    setState(({ result }) => ({ ...NOTHING, result, landed: result?.paths ?? [] }));
  }, []);
  return { state, start, cancel };
}

/** Typing is over when nothing was typed for so long. */
const PAUSE_MS = 500;

/** Simulates by itself, a moment after something was changed. */
export function useStartAfterChange(
  wanted: Simulation,
  isChanged: boolean,
  start: (simulation: Simulation) => void,
): void {
  useEffect(() => {
    if (!isChanged || wanted.route.steps.length === 0) return undefined;
    const timer = setTimeout(() => start(wanted), PAUSE_MS);
    return () => clearTimeout(timer);
  }, [wanted, isChanged, start]);
}
