import type { RawReading } from '../core/standIn/readings';
import { degreesFromRadians } from '../core/geometry/angle';

/** A reading in the open format; docs/formats/README.md says more. */
export interface Reading {
  t_s: number;
  heading_deg?: number | undefined;
  rate_deg_per_s?: number | undefined;
  left_deg?: number | undefined;
  right_deg?: number | undefined;
  distance_cm?: number | null | undefined;
  light_percent?: number | undefined;
  touch?: 0 | 1 | boolean | undefined;
  volts?: number | undefined;
}

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

/** Plain numbers in a reading: the quick way, for most lines of a long file. */
function isPlain(value: unknown): value is Record<string, unknown> & { t_s: number } {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return false;
  const row = value as Record<string, unknown>;
  return READING_NUMBERS.every(
    (name) =>
      (row[name] === undefined && name !== 't_s') ||
      (typeof row[name] === 'number' && Math.abs(row[name]) < 1e6),
  );
}

/** A line of plain numbers, or null for any other: also what a robot prints besides its readings. */
export function plainReading(
  text: string,
): (Partial<Record<ReadingNumber, number>> & { t_s: number }) | null {
  try {
    const value: unknown = JSON.parse(text);
    return isPlain(value) ? value : null;
  } catch {
    return null;
  }
}
