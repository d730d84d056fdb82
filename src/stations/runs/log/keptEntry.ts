import type { Entry } from './entry';

const keyOf = (seriesId: string) => `corvat-entry:${seriesId}`;

/** A run that was being typed when the page was left; null where there is none, or it cannot be read. */
export async function keptEntry(seriesId: string): Promise<Entry | null> {
  try {
    const text = localStorage.getItem(keyOf(seriesId));
    if (text === null) return null;
    const { entrySchema } = await import('./entrySchema');
    const parsed = entrySchema.safeParse(JSON.parse(text));
    return parsed.success ? parsed.data : null;
  } catch {
    return null;
  }
}

/** Keep a half-typed run in this browser, as far as it keeps anything. */
export function keepEntry(seriesId: string, entry: Entry): void {
  try {
    localStorage.setItem(keyOf(seriesId), JSON.stringify(entry));
  } catch {
    // Without storage it lasts as long as the page.
  }
}

export const forgetEntry = (seriesId: string): void => localStorage.removeItem(keyOf(seriesId));
