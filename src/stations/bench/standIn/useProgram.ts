import { useEffect, useRef, useState } from 'react';
import type { StandInView } from '../../../core/standIn/act';
import type { BenchStep } from '../../../core/standIn/program';
import { doWithStandIn } from './standInStore';
import { useStandIn } from './useStandIn';

export type Measured = NonNullable<StandInView['measured']>;

/** Let the stand-in drive a short program, and take what is measured when it stands again. */
export function useProgram() {
  const { view } = useStandIn();
  const waiting = useRef<((measured: Measured) => void) | null>(null);
  const [running, setRunning] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    if (waiting.current === null || view === null || view.moving || view.measured === null) return;
    const done = waiting.current;
    waiting.current = null;
    setRunning(false);
    done(view.measured);
  }, [view]);
  const run = async (steps: BenchStep[], onMeasured: (measured: Measured) => void) => {
    setProblem(null);
    setRunning(true);
    const refused = await doWithStandIn({ do: 'run', steps });
    if (refused !== null) {
      setProblem(refused);
      setRunning(false);
      return;
    }
    waiting.current = onMeasured;
  };
  return { run, running, problem, isOn: view?.on === true, moving: view?.moving === true };
}
