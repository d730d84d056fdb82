const KEY = 'corvat-panel-folded';
const watchers = new Set<() => void>();

/** Whether the panel is folded to a line, as it is until somebody needs it: remembered, and the same on every page of the Bench. */
export const folding = {
  watch: (watcher: () => void): (() => void) => {
    watchers.add(watcher);
    return () => watchers.delete(watcher);
  },
  isFolded: (): boolean => {
    try {
      return localStorage.getItem(KEY) !== 'no';
    } catch {
      return true;
    }
  },
  fold: (folded: boolean): void => {
    try {
      localStorage.setItem(KEY, folded ? 'yes' : 'no');
    } catch {
      // What cannot be remembered stays as it is.
    }
    for (const watcher of watchers) watcher();
  },
};
