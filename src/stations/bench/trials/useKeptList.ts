import { useCallback, useEffect, useRef, useState } from 'react';
import type { BenchTrialsRecord } from '../../../formats/benchRecords';
import { mergedTrials, type Clash } from '../../../formats/mergedTrials';
import { ApiError, putRecord, sentenceOf } from '../../api';
import { dropDraft } from '../../drafts';
import { dropUnsent, keepUnsent, keptUnsent } from './keptTrials';

const RETRY_MS = 2000;

/** The address of a list that was begun anew becomes its own: a reload opens it again. */
function nameInAddress({ id, robotId }: BenchTrialsRecord): void {
  if (new URLSearchParams(location.search).has('new')) {
    history.replaceState(history.state, '', `${location.pathname}?robot=${robotId}&list=${id}`);
  }
}

/** How keeping a list of trials goes. */
export type Keeping = 'kept' | 'keeping' | 'not kept';

/** What stands there of a list that was changed elsewhere; null: this is no such refusal. */
const changedElsewhere = <T extends BenchTrialsRecord>(error: unknown): T | null =>
  error instanceof ApiError && error.status === 409 && error.current !== undefined
    ? (error.current as T)
    : null;

const isPassing = (error: unknown): boolean => error instanceof ApiError && error.isPassing;

async function clashSentence(
  record: BenchTrialsRecord,
  clashes: readonly Clash[],
): Promise<string> {
  // The words for every value there is: fetched when two have changed the same.
  const { fieldName, fieldValue } = await import('../../../formats/fieldWords');
  const values = clashes.map(
    ({ path, theirs }) => `${fieldName(path, record)} (there: ${fieldValue(path, theirs, record)})`,
  );
  return `Another screen has changed, too: ${values.join('; ')}. Here stands yours: press “Keep it now” to keep it so, or change it first.`;
}

/** Send a list that an earlier page left in this browser, with what was changed elsewhere since. */
async function sendLeft<T extends BenchTrialsRecord>(base: T, mine: T): Promise<void> {
  try {
    const sent: T = { ...mine, version: base.version };
    await putRecord<T>('bench-trials', sent);
  } catch (error) {
    const theirs = changedElsewhere<T>(error);
    if (theirs === null) throw error;
    await putRecord<T>('bench-trials', mergedTrials(base, mine, theirs).record);
  }
}

/**
 * A list that is kept at every change: in this browser before anything is sent, and until the server has
 * confirmed it. A server that is away is asked again until it answers; a list that was changed elsewhere meanwhile is
 * joined with what was changed here.
 */
export function useKeptList<T extends BenchTrialsRecord>(loaded: T) {
  const [record, setRecord] = useState(loaded);
  const [keeping, setKeeping] = useState<Keeping>('kept');
  const [problem, setProblem] = useState<string | null>(null);
  /** Lists that an earlier page had left in this browser and that were sent now. */
  const [sentLater, setSentLater] = useState<string[]>([]);
  const latest = useRef(loaded);
  /** What the database has; saves follow one another. */
  const confirmed = useRef(loaded);
  const queue = useRef(Promise.resolve());
  const retry = useRef<ReturnType<typeof setTimeout>>(undefined);
  const again = useRef<() => void>(() => undefined);

  const put = useCallback((now: T) => {
    latest.current = now;
    setRecord(now);
  }, []);
  /** False where both have changed something differently: that is for people to decide. */
  const join = useCallback(
    (base: T, mine: T, theirs: T): boolean => {
      const { record: joined, clashes } = mergedTrials(base, mine, theirs);
      confirmed.current = theirs;
      put(joined);
      keepUnsent({ base: theirs, mine: joined });
      if (clashes.length === 0) return true;
      void clashSentence(joined, clashes).then(setProblem, (error: unknown) =>
        setProblem(sentenceOf(error)),
      );
      setKeeping('not kept');
      return false;
    },
    [put],
  );
  const send = useCallback(async () => {
    // A later save has taken it along.
    clearTimeout(retry.current);
    for (;;) {
      const now = latest.current;
      const sent: T = { ...now, version: confirmed.current.version };
      try {
        confirmed.current = await putRecord<T>('bench-trials', sent);
        if (latest.current === now) dropUnsent(now);
        nameInAddress(now);
        setProblem(null);
        setKeeping('kept');
        return;
      } catch (error) {
        const theirs = changedElsewhere<T>(error);
        if (theirs === null) {
          setProblem(sentenceOf(error));
          setKeeping('not kept');
          if (isPassing(error)) retry.current = setTimeout(again.current, RETRY_MS);
          return;
        }
        if (!join(confirmed.current, latest.current, theirs)) return;
      }
    }
  }, [join]);
  useEffect(() => {
    again.current = () => {
      queue.current = queue.current.then(send);
    };
  }, [send]);
  const keep = useCallback(() => {
    setKeeping('keeping');
    keepUnsent({ base: confirmed.current, mine: latest.current });
    again.current();
  }, []);
  useEffect(() => {
    // Only the browser knows what waits in it: this cannot be part of the first, server-made picture.
    const left = keptUnsent<T>(confirmed.current);
    const isNew = ({ version, trials }: T) => version === 0 && trials.length === 0;
    const own =
      left.find(({ value }) => value.mine.id === latest.current.id) ??
      (isNew(latest.current) ? left.find(({ value }) => value.base.version === 0) : undefined);
    if (own !== undefined) {
      const { base, mine } = own.value;
      if (mine.id !== loaded.id) confirmed.current = { ...loaded, id: mine.id };
      dropDraft(own.key);
      if (join(base, mine, confirmed.current)) keep();
    }
    for (const { key, value } of left) {
      if (key === own?.key) continue;
      sendLeft(value.base, value.mine).then(
        () => {
          dropDraft(key);
          if (value.mine.id !== latest.current.id)
            setSentLater((ids) => [...new Set([...ids, value.mine.id])]);
        },
        // It stays in this browser, and is tried again with the next page.
        () => undefined,
      );
    }
    return () => clearTimeout(retry.current);
  }, [loaded, keep, join]);
  return { record, put, keep, keeping, problem, sentLater, latest, confirmed };
}
