import { z } from 'zod';
import {
  plainReading,
  TableBuilder,
  type Reading,
  type ReadingNumber,
  type ReadingTable,
} from './readings';

/**
 * Readings as a robot prints them over USB or writes them to a file: one JSON object a line, raw, in
 * the units that the names say. Only the time stamp is needed. docs/formats/README.md has an example.
 */
const readingSchema = z.object({
  t_s: z.number().min(-1e9).max(1e9),
  heading_deg: z.number().min(-1e6).max(1e6).optional(),
  rate_deg_per_s: z.number().min(-1e5).max(1e5).optional(),
  left_deg: z.number().min(-1e8).max(1e8).optional(),
  right_deg: z.number().min(-1e8).max(1e8).optional(),
  distance_cm: z.number().min(-1e4).max(1e4).nullish(),
  light_percent: z.number().min(-1000).max(1000).optional(),
  touch: z.union([z.literal(0), z.literal(1), z.boolean()]).optional(),
  volts: z.number().min(0).max(100).optional(),
});

/** So many lines between two looks at the progress. */
const LINES_AT_ONCE = 4000;

function whyRefused(text: string): string | Reading {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return 'not readable as JSON: expected {"t_s": 0.02, "heading_deg": 0.1, …} on a line of its own';
  }
  const parsed = readingSchema.safeParse(value);
  if (parsed.success) return parsed.data;
  const issue = parsed.error.issues[0];
  const field = issue?.path.join('.') ?? '';
  const message = (issue?.message ?? '').replace(/^Invalid input: /, '');
  return field === '' ? message : `${field}: ${message}`;
}

/**
 * Read JSON Lines. Bad lines are left out and told with their numbers.
 *
 * @param onProgress the share read so far; may throw to cancel
 */
export function parseJsonLines(text: string, onProgress: (share: number) => void): ReadingTable {
  const lines = text.split(/\r?\n/);
  const table = new TableBuilder();
  lines.forEach((line, i) => {
    if (i % LINES_AT_ONCE === 0) onProgress(i / lines.length);
    if (line.trim() === '') return;
    const row = plainReading(line) ?? whyRefused(line);
    if (typeof row === 'string') table.refuse(i + 1, row);
    else table.add(row as Partial<Record<ReadingNumber, number>>);
  });
  return table.done(lines.length);
}
