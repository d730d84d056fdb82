import { useState } from 'react';
import { ApiError, putRecord, sentenceOf } from './api';

interface Versioned {
  id: string;
  version: number;
}

/** A record being edited: what stands in the database, what is on the screen, and how saving went. */
export function useSaved<R extends Versioned>(kind: string, loaded: R, onSaved: () => void) {
  const [saved, setSaved] = useState(loaded);
  const [draft, setDraft] = useState(loaded);
  const [problem, setProblem] = useState<string | null>(null);
  const [theirs, setTheirs] = useState<R | null>(null);
  const [saving, setSaving] = useState(false);

  const accept = (record: R) => {
    setSaved(record);
    setDraft(record);
    setTheirs(null);
    setProblem(null);
  };
  const save = async (record: R = draft) => {
    setSaving(true);
    setProblem(null);
    try {
      accept(await putRecord<R>(kind, record));
      onSaved();
    } catch (error) {
      if (error instanceof ApiError && error.status === 409 && error.current !== undefined) {
        setTheirs(error.current as R);
      } else {
        setProblem(sentenceOf(error));
      }
    } finally {
      setSaving(false);
    }
  };
  const changed = JSON.stringify(saved) !== JSON.stringify(draft);
  const dismiss = () => setTheirs(null);
  return { draft, setDraft, saved, save, saving, changed, problem, theirs, accept, dismiss };
}
