import { useCallback, useRef, useState } from 'react';
import type { BenchTrialsRecord } from '../../formats/benchRecords';
import { ApiError, putRecord, sentenceOf } from '../api';

/** The address of a list that was begun anew becomes its own: a reload opens it again. */
function nameInAddress({ id, robotId }: BenchTrialsRecord): void {
  if (new URLSearchParams(location.search).has('new')) {
    history.replaceState(history.state, '', `${location.pathname}?robot=${robotId}&list=${id}`);
  }
}

/** How keeping a list of trials goes. */
export type Keeping = 'kept' | 'keeping' | 'not kept';

/**
 * A list of trials that is kept at every change. What could not be sent stays on the screen and says
 * so; a list that was changed elsewhere is shown as it stands there, with what is new here added.
 */
export function useTrials<T extends BenchTrialsRecord>(loaded: T) {
  const [record, setRecord] = useState(loaded);
  const [keeping, setKeeping] = useState<Keeping>('kept');
  const [problem, setProblem] = useState<string | null>(null);
  const latest = useRef(loaded);
  /** The version that the database has; saves follow one another. */
  const version = useRef(loaded.version);
  const queue = useRef(Promise.resolve());

  const send = useCallback(async () => {
    const sent = { ...latest.current, version: version.current };
    try {
      version.current = (await putRecord<T>('bench-trials', sent)).version;
      nameInAddress(sent);
      setProblem(null);
      setKeeping('kept');
    } catch (error) {
      if (error instanceof ApiError && error.status === 409 && error.current !== undefined) {
        const theirs = error.current as T;
        const known = new Set(theirs.trials.map(({ id }) => id));
        const own = latest.current.trials.filter(({ id }) => !known.has(id));
        latest.current = { ...theirs, trials: [...theirs.trials, ...own] };
        version.current = theirs.version;
        setRecord(latest.current);
        setProblem(
          'This list was changed on another screen meanwhile. Both are here now: look at it and change something, or press “Keep it now”.',
        );
      } else setProblem(sentenceOf(error));
      setKeeping('not kept');
    }
  }, []);
  const keep = useCallback(() => {
    setKeeping('keeping');
    queue.current = queue.current.then(send);
  }, [send]);
  /** A change is a function of what stands now: what came in meanwhile is never lost. */
  const change = useCallback(
    (update: (now: T) => T) => {
      latest.current = update(latest.current);
      setRecord(latest.current);
      keep();
    },
    [keep],
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
      latest.current = { ...latest.current, conditions: { ...conditions, ...part } };
      setRecord(latest.current);
      if (version.current > 0 || trials.length > 0) keep();
    },
    [keep],
  );
  const setArchived = useCallback(
    (archivedAt: string | null) => change((now) => ({ ...now, archivedAt })),
    [change],
  );
  return { record, change, setConditions, setArchived, add, replace, keep, keeping, problem };
}
