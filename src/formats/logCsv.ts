import Papa from 'papaparse';
import { delimiterOf } from './delimiter';
import { READING_NUMBERS, TableBuilder, type ReadingNumber, type ReadingTable } from './readings';

/** A column of a file and what its numbers have to be multiplied by. */
export interface ColumnUse {
  column: number;
  factor: number;
}

/** Which column of a CSV file gives which number. */
export type ColumnMap = Partial<Record<ReadingNumber, ColumnUse>>;

/** Units that a column may be in, with the factor to the format's own. */
export const UNITS: Record<ReadingNumber, { name: string; factor: number }[]> = {
  t_s: [
    { name: 's', factor: 1 },
    { name: 'ms', factor: 0.001 },
    { name: 'µs', factor: 0.000001 },
  ],
  heading_deg: [
    { name: '°', factor: 1 },
    { name: 'rad', factor: 180 / Math.PI },
    { name: '0.1°', factor: 0.1 },
  ],
  rate_deg_per_s: [
    { name: '°/s', factor: 1 },
    { name: 'rad/s', factor: 180 / Math.PI },
    { name: '0.1 °/s', factor: 0.1 },
  ],
  left_deg: [
    { name: '°', factor: 1 },
    { name: 'rotations', factor: 360 },
  ],
  right_deg: [
    { name: '°', factor: 1 },
    { name: 'rotations', factor: 360 },
  ],
};

export const COLUMN_NAMES: Record<ReadingNumber, string> = {
  t_s: 'Time',
  heading_deg: 'Heading',
  rate_deg_per_s: 'Turning rate',
  left_deg: 'Left motor angle',
  right_deg: 'Right motor angle',
};

const GUESSES: Record<ReadingNumber, RegExp> = {
  t_s: /^(t|time|zeit|seconds?|timestamp)(\b|_)/i,
  heading_deg: /heading|yaw|gyro|angle/i,
  rate_deg_per_s: /rate|omega|speed_deg/i,
  left_deg: /^l(eft)?(\b|_)/i,
  right_deg: /^r(ight)?(\b|_)/i,
};

/** Which columns a header seems to mean, and in which units. */
export function guessColumns(header: readonly string[]): ColumnMap {
  const map: ColumnMap = {};
  const taken = new Set<number>();
  // A rate may be called gyro_rate: it is looked for before the heading.
  for (const name of ['t_s', 'rate_deg_per_s', 'left_deg', 'right_deg', 'heading_deg'] as const) {
    const column = header.findIndex((title, i) => !taken.has(i) && GUESSES[name].test(title));
    if (column < 0) continue;
    taken.add(column);
    const title = header[column] ?? '';
    const inRadians = /rad/i.test(title) && !/deg/i.test(title);
    const inMilliseconds = name === 't_s' && /ms|milli/i.test(title);
    const unit = UNITS[name][inRadians || inMilliseconds ? 1 : 0];
    map[name] = { column, factor: unit?.factor ?? 1 };
  }
  return map;
}

/** The header of a CSV file and its first rows, for the choice of columns. */
export function previewCsv(text: string): { header: string[]; rows: string[][] } {
  const { data } = Papa.parse<string[]>(text, {
    delimiter: delimiterOf(text),
    preview: 6,
    skipEmptyLines: true,
  });
  return { header: (data[0] ?? []).map((title) => title.trim()), rows: data.slice(1) };
}

/** About how many lines a file has, by its beginning. */
export function estimatedLines(head: string, fileBytes: number): number {
  const lines = head.split('\n').length - 1;
  return lines < 2 ? lines : Math.round((fileBytes * lines) / Math.max(1, head.length));
}

const plainNumber = (text: string): number =>
  text.trim() === '' ? Number.NaN : Number(text.trim().replace(/^−/, '-').replace(',', '.'));

/**
 * Read a CSV file with a header line by a choice of columns. Bad rows are left out and told with
 * their line numbers (the header is line 1).
 */
export function parseLogCsv(
  text: string,
  map: ColumnMap,
  onProgress: (share: number) => void,
): ReadingTable {
  const table = new TableBuilder();
  let line = 0;
  Papa.parse<string[]>(text, {
    delimiter: delimiterOf(text),
    step: ({ data, meta }) => {
      line += 1;
      if (line % 4000 === 0) onProgress(meta.cursor / text.length);
      if (line === 1 || (data.length === 1 && data[0]?.trim() === '')) return;
      const row: Partial<Record<ReadingNumber, number>> = {};
      for (const name of READING_NUMBERS) {
        const use = map[name];
        if (use === undefined) continue;
        const cell = data[use.column] ?? '';
        const value = plainNumber(cell);
        if (!Number.isFinite(value)) {
          const told = cell.trim() === '' ? 'is empty' : `“${cell.slice(0, 20)}” is no number`;
          table.refuse(line, `column ${use.column + 1} (${COLUMN_NAMES[name]}): ${told}`);
          return;
        }
        row[name] = value * use.factor;
      }
      table.add(row);
    },
  });
  return table.done(line);
}
