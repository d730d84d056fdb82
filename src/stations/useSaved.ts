import { useState } from 'react';
import { ApiError, putRecord, sentenceOf } from './api';
import { useDrafts } from './useDrafts';

export interface Versioned {
  id: string;
  version: number;
}

/**
 * A record being edited: what stands in the database, what is on the screen, and how saving went. What is
 * not saved is kept in the browser, and comes back with the page.
 *
 * @param loadParser makes a record of what was kept in the browser, or throws; null: nothing is kept
 */
export function useSaved<R extends Versioned>(
  kind: string,
  loaded: R,
  onSaved: () => void,
  loadParser: (() => Promise<(value: unknown) => R>) | null = null,
) {
  const [saved, setSaved] = useState(loaded);
  const [draft, setDraft] = useState(loaded);
  const [problem, setProblem] = useState<string | null>(null);
  const [theirs, setTheirs] = useState<R | null>(null);
  const [saving, setSaving] = useState(false);
  /** Counts what was put on the screen in place of what was typed: fields begin anew with it. */
  const [generation, setGeneration] = useState(0);
  const put = (record: R) => {
    setDraft(record);
    setGeneration((n) => n + 1);
  };
  const drafts = useDrafts<R>({
    kind,
    id: loaded.id,
    saved,
    base: String(saved.version),
    present: draft,
    loadParser,
    // A draft of an earlier version meets what was saved since when it is saved itself.
    onFound: put,
  });

  const accept = (record: R) => {
    setSaved(record);
    put(record);
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
  const dismiss = () => setTheirs(null);
  return {
    draft,
    setDraft,
    generation,
    saved,
    save,
    saving,
    ...drafts,
    put,
    problem,
    theirs,
    accept,
    dismiss,
  };
}
