import { z } from 'zod';
import type { RawReading } from '../core/standIn/readings';
import { degreesFromRadians } from '../core/geometry/angle';

/**
 * Readings as a robot prints them over USB or writes them to a file: one JSON object a line, raw, in
 * the units that the names say. Only the time stamp is needed. docs/formats/README.md has an example.
 */
export const readingSchema = z.object({
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

export type Reading = z.output<typeof readingSchema>;

/** The numbers of a reading that a log keeps. */
export const READING_NUMBERS = [
  't_s',
  'heading_deg',
  'rate_deg_per_s',
  'left_deg',
  'right_deg',
] as const;

export type ReadingNumber = (typeof READING_NUMBERS)[number];

const rounded = (value: number, decimals: number): number => Number(value.toFixed(decimals));

/** A reading of the stand-in in the open format. */
export const toReading = (raw: RawReading): Reading => ({
  t_s: raw.tS,
  heading_deg: rounded(degreesFromRadians(raw.headingRad), 4),
  rate_deg_per_s: rounded(degreesFromRadians(raw.rateRadPerS), 4),
  left_deg: raw.leftMotorDegrees,
  right_deg: raw.rightMotorDegrees,
  distance_cm: raw.distanceM === null ? null : rounded(raw.distanceM * 100, 2),
  light_percent: raw.lightPercent,
  touch: raw.touch ? 1 : 0,
  volts: rounded(raw.volts, 3),
});

/** A line of a file that could not be read, and why. */
export interface BadLine {
  line: number;
  why: string;
}

/** The numbers of a file, column by column; NaN where a line had none. */
export interface ReadingTable {
  columns: Partial<Record<ReadingNumber, Float64Array>>;
  /** The first bad lines; `badCount` counts them all. */
  bad: BadLine[];
  badCount: number;
  lines: number;
}

const MOST_TOLD = 50;
/** So many lines between two looks at the progress. */
const LINES_AT_ONCE = 4000;

/** Grows while a file is read. */
export class TableBuilder {
  private readonly values = new Map<ReadingNumber, number[]>();
  private count = 0;
  private readonly bad: BadLine[] = [];
  private badCount = 0;

  add(row: Partial<Record<ReadingNumber, number>>): void {
    for (const name of READING_NUMBERS) {
      const value = row[name];
      if (value === undefined) continue;
      let list = this.values.get(name);
      if (list === undefined) {
        list = Array.from({ length: this.count }, () => Number.NaN);
        this.values.set(name, list);
      }
      list.push(value);
    }
    this.count += 1;
    for (const list of this.values.values()) if (list.length < this.count) list.push(Number.NaN);
  }

  refuse(line: number, why: string): void {
    this.badCount += 1;
    if (this.bad.length < MOST_TOLD) this.bad.push({ line, why });
  }

  done(lines: number): ReadingTable {
    return {
      columns: Object.fromEntries(
        [...this.values].map(([name, list]) => [name, Float64Array.from(list)]),
      ),
      bad: this.bad,
      badCount: this.badCount,
      lines,
    };
  }
}

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

/** Plain numbers in a reading: the quick way, for most lines of a long file. */
function isPlain(value: unknown): value is Record<string, unknown> & { t_s: number } {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return false;
  const row = value as Record<string, unknown>;
  return READING_NUMBERS.every(
    (name) =>
      (row[name] === undefined && name !== 't_s') ||
      (typeof row[name] === 'number' && Math.abs(row[name]) < 1e5),
  );
}

function quickly(text: string): Partial<Record<ReadingNumber, number>> | null {
  try {
    const value: unknown = JSON.parse(text);
    return isPlain(value) ? value : null;
  } catch {
    return null;
  }
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
    const row = quickly(line) ?? whyRefused(line);
    if (typeof row === 'string') table.refuse(i + 1, row);
    else table.add(row as Partial<Record<ReadingNumber, number>>);
  });
  return table.done(lines.length);
}
