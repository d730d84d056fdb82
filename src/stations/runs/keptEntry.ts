import { z } from 'zod';
import { note, shortText } from '../../formats/fields';
import type { Entry } from './entry';

/** A run while it is being entered: as it is kept in the browser, and as its form takes it. */
export const entrySchema = z.object({
  id: z.string(),
  version: z.number().int().min(0),
  happenedAt: z.string().nullable(),
  missions: z.record(z.string(), z.boolean()),
  worked: z.boolean().nullable(),
  endXM: z.number().nullable(),
  endYM: z.number().nullable(),
  endHeadingRad: z.number().nullable(),
  placedBy: shortText,
  battery: shortText,
  batteryV: z.number().nullable(),
  cause: z.string().nullable(),
  note,
}) satisfies z.ZodType<Entry>;

const keyOf = (seriesId: string) => `corvat-entry:${seriesId}`;

/** A run that was being typed when the page was left; null where there is none, or it cannot be read. */
export function keptEntry(seriesId: string): Entry | null {
  try {
    const parsed = entrySchema.safeParse(JSON.parse(localStorage.getItem(keyOf(seriesId)) ?? ''));
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
