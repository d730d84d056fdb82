import { useEffect, useState } from 'react';
import type { Match } from '../../../core/match/match';
import type { MatchForecast } from '../../../core/match/matchForecast';
import type { Table } from '../../../core/table/table';
import { sentenceOf } from '../../api';
import { SIMULATED_RUNS } from '../useSimulation';
import { matchInWorkers, type RouteOfMatch } from './matchInWorkers';

/** What is known of the match on the screen: nothing yet, how far its computing is, or what it brings. */
interface MatchState {
  progress: { done: number; total: number } | null;
  /** With the match that it is the forecast of. */
  result: { forecast: MatchForecast; of: Match } | null;
  problem: string | null;
}

/** Typing is over when nothing was typed for so long. */
const PAUSE_MS = 400;

/** Foretells the match on the screen by itself, a moment after it was changed; routes that were simulated stay so. */
export function useMatch(match: Match, table: Table, routes: readonly RouteOfMatch[]) {
  const [state, setState] = useState<MatchState>({ progress: null, result: null, problem: null });
  const [stopped, setStopped] = useState<Match | null>(null);
  const isStopped = stopped === match;
  useEffect(() => {
    if (match.launches.length === 0 || isStopped) return undefined;
    let isOver = false;
    let cancel = () => {};
    const timer = setTimeout(() => {
      const tell = (progress: MatchState['progress']) =>
        !isOver && setState((old) => ({ ...old, progress, problem: null }));
      tell({ done: 0, total: 1 });
      const job = matchInWorkers(match, table, routes, SIMULATED_RUNS, (done, total) =>
        tell({ done, total }),
      );
      cancel = job.cancel;
      job.result.then(
        (forecast) =>
          !isOver && setState({ progress: null, result: { forecast, of: match }, problem: null }),
        (error: unknown) =>
          !isOver && setState((old) => ({ ...old, progress: null, problem: sentenceOf(error) })),
      );
    }, PAUSE_MS);
    return () => {
      isOver = true;
      clearTimeout(timer);
      cancel();
    };
  }, [match, table, routes, isStopped]);
  return {
    ...state,
    progress: isStopped ? null : state.progress,
    isStopped,
    stop: () => setStopped(match),
    goOn: () => setStopped(null),
  };
}
