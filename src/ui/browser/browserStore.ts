/*
 * What this browser keeps from one visit to the next. One that keeps nothing (it is told not to, or is full) reads as
 * empty and says that it did not keep: nobody has to stop for that.
 */

/** What is kept under a key; null for nothing. */
export function readKept(key: string, store?: Storage): string | null {
  try {
    return (store ?? localStorage).getItem(key);
  } catch {
    return null;
  }
}

/** Keep a text; false when the browser refuses. */
export function keep(key: string, text: string, store?: Storage): boolean {
  try {
    (store ?? localStorage).setItem(key, text);
    return true;
  } catch {
    return false;
  }
}

export function forget(key: string): void {
  try {
    localStorage.removeItem(key);
  } catch {
    // There is nothing to forget.
  }
}

/** The keys under which something is kept that begin so. */
export function keptKeys(prefix: string): string[] {
  try {
    return Object.keys(localStorage).filter((key) => key.startsWith(prefix));
  } catch {
    return [];
  }
}

/**
 * What is kept under a key as a value; null for nothing, and for what cannot be read.
 *
 * @param parse makes the value of what was kept, or throws
 */
export function readKeptAs<T>(key: string, parse: (value: unknown) => T): T | null {
  const text = readKept(key);
  if (text === null) return null;
  try {
    return parse(JSON.parse(text));
  } catch {
    return null;
  }
}

/** One word that is remembered, the same wherever it is shown. */
export interface RememberedWord {
  watch(watcher: () => void): () => void;
  read(): string | null;
  set(word: string): void;
}

export function rememberedWord(key: string): RememberedWord {
  const watchers = new Set<() => void>();
  return {
    watch(watcher) {
      watchers.add(watcher);
      return () => watchers.delete(watcher);
    },
    read: () => readKept(key),
    set(word) {
      keep(key, word);
      for (const watcher of watchers) watcher();
    },
  };
}
