import { useCallback, useEffect, useRef, useState } from 'react';
import type { RunRecord, SavedRun } from '../../../formats/records';
import { ApiError, putRecord, sentenceOf } from '../../api';
import { forget, keep, keptRuns } from './outboxStore';

const RETRY_MS = 2000;

interface Refused {
  run: RunRecord;
  reason: string;
}

/**
 * Runs on their way to the database. Each is written into this browser before anything is sent, and
 * leaves it only when the server has confirmed it; a server that is away is asked again until it
 * answers.
 */
export function useOutbox(seriesId: string, onSaved: (run: SavedRun) => void) {
  const [waiting, setWaiting] = useState<RunRecord[]>([]);
  const [away, setAway] = useState<string | null>(null);
  const [refused, setRefused] = useState<Refused[]>([]);
  const [attempt, setAttempt] = useState(0);
  const sending = useRef<string | null>(null);
  const saved = useRef(onSaved);
  useEffect(() => {
    saved.current = onSaved;
  });
  useEffect(() => {
    // Only the browser knows what waits in it: this cannot be part of the first, server-made picture.
    // What was logged since then is among both.
    void keptRuns(seriesId).then((kept) =>
      setWaiting((since) => [
        ...kept.filter((run) => since.every(({ id }) => id !== run.id)),
        ...since,
      ]),
    );
  }, [seriesId]);

  const drop = useCallback((run: RunRecord) => {
    forget(run);
    setWaiting((runs) => runs.filter(({ id }) => id !== run.id));
  }, []);

  useEffect(() => {
    const next = waiting[0];
    if (next === undefined || sending.current !== null) return undefined;
    let timer: ReturnType<typeof setTimeout> | undefined;
    sending.current = next.id;
    putRecord<SavedRun>('runs', next)
      .then((run) => {
        setAway(null);
        drop(next);
        saved.current(run);
      })
      .catch((error: unknown) => {
        if (error instanceof ApiError && error.isPassing) {
          setAway(error.message);
          timer = setTimeout(() => setAttempt((n) => n + 1), RETRY_MS);
          return;
        }
        // It stays in the browser until somebody has decided about it.
        setWaiting((runs) => runs.filter(({ id }) => id !== next.id));
        setRefused((runs) => [...runs, { run: next, reason: sentenceOf(error) }]);
      })
      .finally(() => {
        sending.current = null;
        setAttempt((n) => (timer === undefined ? n + 1 : n));
      });
    return () => clearTimeout(timer);
  }, [waiting, attempt, drop]);

  /** False when the browser cannot keep it; then nothing was taken over. */
  const add = (run: RunRecord): boolean => {
    if (!keep(run)) return false;
    setWaiting((runs) => (runs.some(({ id }) => id === run.id) ? runs : [...runs, run]));
    return true;
  };
  const settle = (run: RunRecord) => {
    forget(run);
    setRefused((runs) => runs.filter((refusal) => refusal.run.id !== run.id));
  };
  return { waiting, away, refused, add, settle };
}
