import { useCallback, useEffect, useRef, useState } from 'react';
import {
  dropDraft,
  keepDraft,
  keptDrafts,
  ownKey,
  renameWindow,
  watchDrafts,
  type Draft,
} from './drafts';

interface Props<T> {
  kind: string;
  id: string;
  /** What is saved, and what names it. */
  saved: T;
  base: string;
  /** What is on the screen. */
  present: T;
  /** Fetched only where there is something to parse; null: nothing is kept here. */
  loadParser: (() => Promise<(value: unknown) => T>) | null;
  /** What was kept when the page was left, back on the screen. */
  onFound(value: T): void;
}

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/**
 * Keeps what is on the screen and not saved, so that a closed page or an empty tablet loses nothing; and
 * knows of the drafts of other windows, which are never overwritten.
 */
export function useDrafts<T>(props: Props<T>) {
  const { kind, id, saved, base, present } = props;
  const [others, setOthers] = useState<Draft<T>[]>([]);
  const latest = useRef(props);
  useEffect(() => {
    latest.current = props;
  });
  /** What was kept is on the screen, or nothing was: from now on changes are kept. */
  const [opened, setOpened] = useState(false);

  const look = useCallback(async (isOpening: boolean) => {
    const now = latest.current;
    if (now.loadParser === null) return;
    const any = keptDrafts(now.kind, now.id, (value) => value).length > 0;
    const drafts = any ? keptDrafts(now.kind, now.id, await now.loadParser()) : [];
    const open = drafts.filter(({ value }) => !same(value, latest.current.saved));
    const [first] = open;
    const { saved, present } = latest.current;
    // Who typed while it was looked for keeps what was typed; what was kept is offered beside it.
    const taken = isOpening && first !== undefined && same(present, saved);
    if (taken) latest.current.onFound(first.value);
    else if (isOpening && first !== undefined) renameWindow();
    const shown = taken ? first.value : present;
    const own = ownKey(now.kind, now.id);
    setOthers(open.filter(({ key, value }) => key !== own && !same(value, shown)));
  }, []);

  useEffect(() => {
    // Only the browser knows what was kept: it cannot be part of the first, server-made picture.
    void look(true).then(() => setOpened(true));
    return watchDrafts(kind, id, () => void look(false));
  }, [kind, id, look]);

  const changed = !same(present, saved);
  const isKept = props.loadParser !== null;
  useEffect(() => {
    if (!opened || !isKept) return;
    if (changed) keepDraft(kind, id, base, present);
    else dropDraft(ownKey(kind, id));
  }, [kind, id, base, present, changed, isKept, opened]);

  const drop = (draft: Draft<T>) => {
    dropDraft(draft.key);
    setOthers((before) => before.filter(({ key }) => key !== draft.key));
  };
  return { others, drop, changed };
}
