import { useCallback } from 'react';
import type { BenchTrialsRecord } from '../../../formats/benchRecords';
import { useKeptList } from './useKeptList';

/** A list of trials, and what can be done with it; each change is kept as it is made. */
export function useTrials<T extends BenchTrialsRecord>(loaded: T) {
  const { put, latest, confirmed, ...list } = useKeptList(loaded);
  const { keep } = list;
  /** A change is a function of what stands now: what came in meanwhile is never lost. */
  const change = useCallback(
    (update: (now: T) => T) => {
      put(update(latest.current));
      keep();
    },
    [keep, put, latest],
  );
  /** Further trials, one trial in place of its earlier self. */
  const add = useCallback(
    (...trials: T['trials'][number][]) =>
      change((now) => ({ ...now, trials: [...now.trials, ...trials] })),
    [change],
  );
  const replace = useCallback(
    (trial: T['trials'][number]) =>
      change((now) => ({
        ...now,
        trials: now.trials.map((one) => (one.id === trial.id ? trial : one)),
      })),
    [change],
  );
  /** What is said of a list that has nothing in it yet is kept with its first trial: there are no empty lists. */
  const setConditions = useCallback(
    (part: Partial<T['conditions']>) => {
      const { trials, conditions } = latest.current;
      put({ ...latest.current, conditions: { ...conditions, ...part } });
      if (confirmed.current.version > 0 || trials.length > 0) keep();
    },
    [keep, put, latest, confirmed],
  );
  const setArchived = useCallback(
    (archivedAt: string | null) => change((now) => ({ ...now, archivedAt })),
    [change],
  );
  return { ...list, change, setConditions, setArchived, add, replace };
}
