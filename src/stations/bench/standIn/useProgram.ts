import { useEffect, useRef, useState } from 'react';
import type { StandInView } from '../../../core/standIn/view';
import type { BenchStep } from '../../../core/standIn/steps/benchStep';
import { askStandIn, standInSeen, watchStandIn } from './standInStore';
import { useStandInFact, useStandInIsOn } from './useStandIn';

export type Measured = NonNullable<StandInView['measured']>;

/** Let the stand-in drive a short program, and take what is measured when it stands again. */
export function useProgram() {
  const isOn = useStandInIsOn() === true;
  const moving = useStandInFact(({ view }) => view?.moving === true);
  const waiting = useRef<{ fromS: number | null; done(measured: Measured): void } | null>(null);
  const [running, setRunning] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(
    () =>
      watchStandIn(() => {
        const { view } = standInSeen();
        if (waiting.current === null || view === null || view.moving) return;
        const { fromS, done } = waiting.current;
        // An answer that was under way when the program began tells of the one before, however late its clock is.
        if (view.measured === null || view.programFromS !== fromS) return;
        waiting.current = null;
        setRunning(false);
        done(view.measured);
      }),
    [],
  );
  const run = async (steps: BenchStep[], onMeasured: (measured: Measured) => void) => {
    setProblem(null);
    setRunning(true);
    const begun = await askStandIn({ do: 'run', steps });
    if (typeof begun === 'string') {
      setProblem(begun);
      setRunning(false);
      return;
    }
    waiting.current = { fromS: begun.programFromS, done: onMeasured };
  };
  return { run, running, problem, isOn, moving };
}
