import { useEffect, useRef, useState } from 'react';
import type { Pose } from '../../../core/geometry/pose';
import type { PlacingWay } from '../../../core/calibrationValues/placingWays';
import { doWithStandIn, standInSeen, watchStandIn } from '../standIn/standInStore';
import { useStandInFact } from '../standIn/useStandIn';

/** Has the stand-in put back at its start, and tells where it stands then. */
export function usePutBack() {
  const isMoving = useStandInFact(({ view }) => view?.moving !== false);
  const waiting = useRef<((pose: Pose) => void) | null>(null);
  const [isBusy, setIsBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(
    () =>
      watchStandIn(() => {
        const { view } = standInSeen();
        if (waiting.current === null || view === null || view.moving || view.place === null) return;
        const placed = waiting.current;
        waiting.current = null;
        setIsBusy(false);
        placed(view.place);
      }),
    [],
  );
  const putBack = async (how: PlacingWay, onPlaced: (pose: Pose) => void) => {
    setProblem(null);
    setIsBusy(true);
    const refused = await doWithStandIn({ do: 'put-back', how });
    setProblem(refused);
    if (refused === null) waiting.current = onPlaced;
    else setIsBusy(false);
  };
  return { putBack, isReady: !isMoving && !isBusy, isBusy, problem };
}
