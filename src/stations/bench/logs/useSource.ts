import { useSyncExternalStore } from 'react';
import type { Source } from './SourceChoice';

const KEY = 'corvat-bench-source';
const SOURCES: readonly Source[] = ['stand-in', 'file', 'serial'];
const watchers = new Set<() => void>();

function remembered(): Source | null {
  try {
    const kept = localStorage.getItem(KEY);
    return SOURCES.find((source) => source === kept) ?? null;
  } catch {
    return null;
  }
}

function watch(watcher: () => void): () => void {
  watchers.add(watcher);
  return () => watchers.delete(watcher);
}

function choose(source: Source): void {
  try {
    localStorage.setItem(KEY, source);
  } catch {
    // What cannot be remembered is chosen again.
  }
  for (const watcher of watchers) watcher();
}

/**
 * Where readings come from: chosen once for the whole Bench, and remembered.
 *
 * @param whenNone what a screen begins with until somebody has chosen
 */
export const useSource = (whenNone: Source): [Source, (source: Source) => void] => [
  useSyncExternalStore(
    watch,
    () => remembered() ?? whenNone,
    () => whenNone,
  ),
  choose,
];
