import { useSyncExternalStore } from 'react';
import { rememberedWord } from '../../../ui/browser/browserStore';
import type { Source } from './SourceChoice';

const SOURCES: readonly Source[] = ['stand-in', 'file', 'serial'];
const kept = rememberedWord('corvat-bench-source');
const remembered = () => SOURCES.find((source) => source === kept.read());

/**
 * Where readings come from: chosen once for the whole Bench, and remembered.
 *
 * @param whenNone what a screen begins with until somebody has chosen
 */
export const useSource = (whenNone: Source): [Source, (source: Source) => void] => [
  useSyncExternalStore(
    kept.watch,
    () => remembered() ?? whenNone,
    () => whenNone,
  ),
  kept.set,
];
