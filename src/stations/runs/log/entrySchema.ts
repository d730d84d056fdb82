import { z } from 'zod';
import { note, shortText } from '../../../formats/fields';
import type { Entry } from './entry';

/** A run while it is being entered: as it is kept in the browser, and as its form takes it. */
export const runEntrySchema = z.object({
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
