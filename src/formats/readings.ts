import { meaningOf, type ColumnMeaning } from '../core/channels/title';
import { degreesFromRadians } from '../core/geometry/angle';
import type { RawReading } from '../core/standIn/readings';
import { MAX_CHANNELS } from './benchConstants';

/**
 * A reading in the open format: a time, and whatever else a robot tells, raw, under names that say the unit;
 * null where there was nothing to read. docs/formats/README.md says more.
 */
export interface Reading {
  t_s: number;
  heading_deg?: number | null | undefined;
  [title: string]: number | boolean | null | undefined;
}

const rounded = (value: number, decimals: number): number => Number(value.toFixed(decimals));

/** A reading of the stand-in in the open format. */
export const toReading = (raw: RawReading): Reading => ({
  t_s: raw.tS,
  ...(raw.headingRad !== null && { heading_deg: rounded(degreesFromRadians(raw.headingRad), 4) }),
  ...(raw.rateRadPerS !== null && {
    rate_deg_per_s: rounded(degreesFromRadians(raw.rateRadPerS), 4),
  }),
  left_deg: raw.leftMotorDegrees,
  right_deg: raw.rightMotorDegrees,
  ...raw.units,
  touch: raw.touch ? 1 : 0,
  volts: rounded(raw.volts, 3),
});

/** A line of a file that could not be read, and why. */
export interface BadLine {
  line: number;
  why: string;
}

/** A column of a file, as its numbers stand there; NaN where a line had none. */
export interface ReadColumn extends ColumnMeaning {
  title: string;
  values: Float64Array;
}

/** The numbers of a file, column by column. */
export interface ReadingTable {
  tS: Float64Array;
  columns: ReadColumn[];
  /** Titles of what is in it and was not taken, and why. */
  leftOut: { title: string; why: string }[];
  /** The first bad lines; `badCount` counts them all. */
  bad: BadLine[];
  badCount: number;
  lines: number;
}

const MOST_TOLD = 50;

/** Grows while a file is read. */
export class TableBuilder {
  private readonly tS: number[] = [];
  private readonly values = new Map<string, number[]>();
  private readonly leftOut = new Map<string, string>();
  private readonly bad: BadLine[] = [];
  private badCount = 0;

  /**
   * Add a reading. What of it is no number is left out: told with its line where the others of its column are
   * numbers.
   */
  add(row: Readonly<Record<string, unknown>> & { t_s: number }, line = 0): void {
    const count = this.tS.push(row.t_s);
    for (const title in row) if (title !== 't_s') this.put(title, row[title], count, line);
  }

  private put(title: string, value: unknown, count: number, line: number): void {
    if (value === undefined) return;
    const isNumber = typeof value === 'number' || typeof value === 'boolean' || value === null;
    if (!isNumber) {
      if (this.values.has(title)) this.refuse(line, `${title}: expected a number`);
      else this.leaveOut(title, 'it is no number');
      return;
    }
    const list = this.values.get(title) ?? this.begin(title);
    if (list === null) return;
    while (list.length < count - 1) list.push(Number.NaN);
    list.push(value === null ? Number.NaN : Number(value));
  }

  private begin(title: string): number[] | null {
    if (this.values.size >= MAX_CHANNELS) {
      this.leaveOut(title, `a log has at most ${MAX_CHANNELS} channels`);
      return null;
    }
    const list: number[] = [];
    this.values.set(title, list);
    return list;
  }

  leaveOut(title: string, why: string): void {
    if (this.leftOut.size < MOST_TOLD) this.leftOut.set(title, why);
  }

  refuse(line: number, why: string): void {
    this.badCount += 1;
    if (this.bad.length < MOST_TOLD) this.bad.push({ line, why });
  }

  /**
   * @param meanings what the columns hold; without them their titles say, and a column in which nothing was ever
   * read is kept: a sensor that saw nothing was there all the same
   */
  done(lines: number, meanings: ReadonlyMap<string, ColumnMeaning> | null = null): ReadingTable {
    const taken = new Set<string>();
    const columns = [...this.values].flatMap(([title, list]): ReadColumn[] => {
      while (list.length < this.tS.length) list.push(Number.NaN);
      const values = Float64Array.from(list);
      if (meanings !== null && values.every(Number.isNaN)) {
        this.leaveOut(title, 'it is empty');
        return [];
      }
      const meaning = meanings?.get(title) ?? meaningOf(title, taken);
      taken.add(meaning.key);
      return [{ title, ...meaning, values }];
    });
    return {
      tS: Float64Array.from(this.tS),
      columns,
      leftOut: [...this.leftOut]
        .filter(([title]) => !columns.some((column) => column.title === title))
        .map(([title, why]) => ({ title, why })),
      bad: this.bad,
      badCount: this.badCount,
      lines,
    };
  }
}

/** A line of the open format, or null for any other: also what a robot prints besides its readings. */
export function plainReading(text: string): Reading | null {
  try {
    const value: unknown = JSON.parse(text);
    return isReading(value) ? value : null;
  } catch {
    return null;
  }
}

/** No number of a log is larger. */
const LARGEST = 1e9;

function isReading(value: unknown): value is Reading {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return false;
  const row = value as Record<string, unknown>;
  if (typeof row.t_s !== 'number') return false;
  for (const title in row) {
    const one = row[title];
    if (typeof one === 'number' && !(Math.abs(one) < LARGEST)) return false;
  }
  return true;
}
