import { useState } from 'react';
import type { StandInAction } from '../../../core/standIn/act';
import type { Robot } from '../../../core/robot/robot';
import type { Route } from '../../../core/course/route';
import type { Table } from '../../../core/table/table';
import { askStandIn } from '../../bench/standIn/standInStore';
import { useStandIn } from '../../bench/standIn/useStandIn';

/** What was last given to the stand-in to drive. */
export interface Given {
  /** By this it is told from what it drove before. */
  fromS: number;
  route: Route;
}

/** Give the stand-in a route to drive: switched on and put at its start, as a student would. */
export function useRouteDrive(robot: Robot, table: Table) {
  const { view } = useStandIn();
  const [given, setGiven] = useState<Given | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [isBegun, setBegun] = useState(false);
  /** One after the other; the sentence of the first that cannot be done. */
  const ask = async (actions: readonly StandInAction[]) => {
    setProblem(null);
    let last = view;
    for (const action of actions) {
      const answer = await askStandIn(action);
      if (typeof answer === 'string') {
        setProblem(answer);
        return null;
      }
      last = answer;
    }
    return last;
  };
  const drive = async (route: Route, rate: 1 | 10) => {
    setBegun(true);
    const begun = await ask([
      ...(view?.on === true ? [] : [{ do: 'power-on', inHand: false } as const]),
      { do: 'set-clock', rate },
      { do: 'drive-route', robot, table, route },
    ]);
    setBegun(false);
    setGiven(begun?.route ? { fromS: begun.route.fromS, route } : null);
  };
  const stop = () => ask([{ do: 'stop' }, { do: 'set-clock', rate: 1 }]);
  return { view, given, problem, isBegun, drive, stop };
}
