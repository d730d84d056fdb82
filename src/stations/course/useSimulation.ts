import { useCallback, useEffect, useRef, useState } from 'react';
import type { Simulation } from '../../core/simulate/run';
import { sentenceOf } from '../api';
import { simulateInWorkers, type SimulationJob, type SimulationResult } from './simulateInWorkers';

export const SIMULATED_RUNS = 200;

/** The latest simulation: none, under way, done (perhaps of an older draft), or failed. */
export interface SimulationState {
  done: number;
  running: boolean;
  result: (SimulationResult & { of: Simulation }) | null;
  /** Paths that have landed so far, for drawing them as they come. */
  landed: Float32Array[];
  problem: string | null;
}

const NOTHING: SimulationState = {
  done: 0,
  running: false,
  result: null,
  landed: [],
  problem: null,
};

export function useSimulation() {
  const [state, setState] = useState(NOTHING);
  const job = useRef<SimulationJob | null>(null);
  useEffect(() => () => job.current?.cancel(), []);

  const start = useCallback((simulation: Simulation) => {
    job.current?.cancel();
    setState({ ...NOTHING, running: true });
    const started = simulateInWorkers(simulation, SIMULATED_RUNS, (done, paths) =>
      setState((old) => ({ ...old, done, landed: [...old.landed, ...paths] })),
    );
    job.current = started;
    started.result.then(
      (result) =>
        setState({
          ...NOTHING,
          done: SIMULATED_RUNS,
          result: { ...result, of: simulation },
          landed: result.paths,
        }),
      (error: unknown) => setState({ ...NOTHING, problem: sentenceOf(error) }),
    );
  }, []);
  const cancel = useCallback(() => {
    job.current?.cancel();
    setState(NOTHING);
  }, []);
  return { state, start, cancel };
}
