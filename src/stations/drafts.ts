import { forget, keep, keptKeys, readKept, readKeptAs } from '../ui/browser/browserStore';

/** A change that is not saved yet, kept in the browser by the window that it was made in. */
export interface Draft<T> {
  key: string;
  /** What it was based on: the version or id of what was saved then. */
  base: string;
  value: T;
  /** When it was last changed, ms. */
  at: number;
}

const PREFIX = 'corvat-draft';
const TAB = 'corvat-window';

/** The storage of this window alone; undefined where the browser has none. */
function ofWindow(): Storage | undefined {
  try {
    return sessionStorage;
  } catch {
    return undefined;
  }
}

/** Each window has a name of its own, which lasts as long as it does; without storage there is but one. */
function windowName(): string {
  const store = ofWindow();
  if (store === undefined) return 'only';
  const known = readKept(TAB, store);
  if (known !== null) return known;
  const made = Math.random().toString(36).slice(2, 10);
  return keep(TAB, made, store) ? made : 'only';
}

/** A window that was doubled has its twin's name: it takes another. */
export const renameWindow = (): void => ofWindow()?.removeItem(TAB);

const prefixOf = (kind: string, id: string) => `${PREFIX}:${kind}:${id}:`;

export const ownKey = (kind: string, id: string): string => prefixOf(kind, id) + windowName();

/**
 * The drafts of a record, this window's first, then the newest. What cannot be read is no draft.
 *
 * @param parse makes a value of what was kept, or throws
 */
export function keptDrafts<T>(kind: string, id: string, parse: (value: unknown) => T): Draft<T>[] {
  const own = ownKey(kind, id);
  return keptKeys(prefixOf(kind, id))
    .flatMap((key): Draft<T>[] => {
      const draft = readKeptAs(key, (kept) => {
        const { base, value, at } = kept as Draft<unknown>;
        if (typeof base !== 'string' || typeof at !== 'number') throw new TypeError('no draft');
        return { key, base, at, value: parse(value) };
      });
      return draft === null ? [] : [draft];
    })
    .toSorted((a, b) => Number(b.key === own) - Number(a.key === own) || b.at - a.at);
}

/** Without storage it lasts as long as the page. */
export const keepDraft = (kind: string, id: string, base: string, value: unknown): boolean =>
  keep(ownKey(kind, id), JSON.stringify({ base, value, at: Date.now() }));

export const dropDraft = forget;

/** Told when another window has changed a draft of this record. */
export function watchDrafts(kind: string, id: string, onChange: () => void): () => void {
  const listen = ({ key }: StorageEvent) => {
    if (key?.startsWith(prefixOf(kind, id)) !== true) return;
    if (key === ownKey(kind, id)) renameWindow();
    onChange();
  };
  window.addEventListener('storage', listen);
  return () => window.removeEventListener('storage', listen);
}
