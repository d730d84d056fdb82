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

/** Each window has a name of its own, which lasts as long as it does. */
function windowName(): string {
  try {
    const known = sessionStorage.getItem(TAB);
    if (known !== null) return known;
    const made = Math.random().toString(36).slice(2, 10);
    sessionStorage.setItem(TAB, made);
    return made;
  } catch {
    return 'only';
  }
}

/** A window that was doubled has its twin's name: it takes another. */
export function renameWindow(): void {
  try {
    sessionStorage.removeItem(TAB);
  } catch {
    // Without storage there are no names.
  }
}

const prefixOf = (kind: string, id: string) => `${PREFIX}:${kind}:${id}:`;

export const ownKey = (kind: string, id: string): string => prefixOf(kind, id) + windowName();

/**
 * The drafts of a record, this window's first, then the newest. What cannot be read is no draft.
 *
 * @param parse makes a value of what was kept, or throws
 */
export function keptDrafts<T>(kind: string, id: string, parse: (value: unknown) => T): Draft<T>[] {
  const prefix = prefixOf(kind, id);
  const own = ownKey(kind, id);
  try {
    return Object.keys(localStorage)
      .filter((key) => key.startsWith(prefix))
      .flatMap((key): Draft<T>[] => {
        try {
          const { base, value, at } = JSON.parse(localStorage.getItem(key) ?? '') as Draft<unknown>;
          if (typeof base !== 'string' || typeof at !== 'number') return [];
          return [{ key, base, at, value: parse(value) }];
        } catch {
          return [];
        }
      })
      .toSorted((a, b) => Number(b.key === own) - Number(a.key === own) || b.at - a.at);
  } catch {
    return [];
  }
}

export function keepDraft(kind: string, id: string, base: string, value: unknown): void {
  try {
    const draft = { base, value, at: Date.now() };
    localStorage.setItem(ownKey(kind, id), JSON.stringify(draft));
  } catch {
    // Without storage it lasts as long as the page.
  }
}

export function dropDraft(key: string): void {
  try {
    localStorage.removeItem(key);
  } catch {
    // There is nothing to drop.
  }
}

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
