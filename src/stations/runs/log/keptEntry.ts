import { forget, keep, readKept, readKeptAs } from '../../../ui/browser/browserStore';
import type { Entry } from './entry';

const keyOf = (seriesId: string) => `corvat-entry:${seriesId}`;

/** A run that was being typed when the page was left; null where there is none, or it cannot be read. */
export async function keptEntry(seriesId: string): Promise<Entry | null> {
  const key = keyOf(seriesId);
  if (readKept(key) === null) return null;
  const { runEntrySchema: entrySchema } = await import('./entrySchema');
  return readKeptAs(key, (value) => entrySchema.parse(value));
}

/** Keep a half-typed run in this browser; where it keeps nothing, it lasts as long as the page. */
export const keepEntry = (seriesId: string, entry: Entry): boolean =>
  keep(keyOf(seriesId), JSON.stringify(entry));

export const forgetEntry = (seriesId: string): void => forget(keyOf(seriesId));
