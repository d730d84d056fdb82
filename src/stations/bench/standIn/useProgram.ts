import { useEffect, useRef, useState } from 'react';
import type { StandInView } from '../../../core/standIn/view';
import type { BenchStep } from '../../../core/standIn/steps/benchStep';
import { doWithStandIn, standInSeen, watchStandIn } from './standInStore';
import { useStandInFact, useStandInIsOn } from './useStandIn';

export type Measured = NonNullable<StandInView['measured']>;

/** Let the stand-in drive a short program, and take what is measured when it stands again. */
export function useProgram() {
  const isOn = useStandInIsOn() === true;
  const moving = useStandInFact(({ view }) => view?.moving === true);
  const waiting = useRef<((measured: Measured) => void) | null>(null);
  const begunS = useRef(0);
  const [running, setRunning] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(
    () =>
      watchStandIn(() => {
        const { view } = standInSeen();
        if (waiting.current === null || view === null || view.moving) return;
        // An answer that was under way before the program began tells of the one before.
        if (view.measured === null || view.nowS <= begunS.current) return;
        const done = waiting.current;
        waiting.current = null;
        setRunning(false);
        done(view.measured);
      }),
    [],
  );
  const run = async (steps: BenchStep[], onMeasured: (measured: Measured) => void) => {
    setProblem(null);
    setRunning(true);
    const refused = await doWithStandIn({ do: 'run', steps });
    if (refused !== null) {
      setProblem(refused);
      setRunning(false);
      return;
    }
    begunS.current = standInSeen().view?.nowS ?? 0;
    waiting.current = onMeasured;
  };
  return { run, running, problem, isOn, moving };
}
