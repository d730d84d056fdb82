import { useState } from 'react';
import type { RunRecord, SavedRun } from '../../../formats/records';
import { ApiError, putRecord, sentenceOf } from '../../api';

const inOrder = (runs: readonly SavedRun[]) => runs.toSorted((a, b) => a.number - b.number);

/** The saved runs of a series, and changes of them that the server has to confirm. */
export function useRuns(loaded: SavedRun[]) {
  const [runs, setRuns] = useState(loaded);
  const [problem, setProblem] = useState<string | null>(null);
  const [conflict, setConflict] = useState<{ mine: RunRecord; theirs: RunRecord } | null>(null);

  const take = (...changed: SavedRun[]) =>
    setRuns((now) => {
      const ids = new Set(changed.map(({ id }) => id));
      return inOrder([...now.filter(({ id }) => !ids.has(id)), ...changed]);
    });
  /** True when it was saved; else the problem is told and nothing has changed. */
  const change = async (run: RunRecord): Promise<boolean> => {
    setProblem(null);
    try {
      take(await putRecord<SavedRun>('runs', run));
      setConflict(null);
      return true;
    } catch (error) {
      if (error instanceof ApiError && error.status === 409 && error.current !== undefined) {
        setConflict({ mine: run, theirs: error.current as RunRecord });
      } else {
        setProblem(sentenceOf(error));
      }
      return false;
    }
  };
  /** Show what somebody else has saved of a run. */
  const takeTheirs = (theirs: RunRecord) => {
    const before = runs.find(({ id }) => id === theirs.id);
    if (before) take({ ...theirs, number: before.number });
    setConflict(null);
  };
  const dismiss = () => setConflict(null);
  return { runs, take, change, problem, setProblem, conflict, takeTheirs, dismiss };
}
