import { parseDecimal } from '../../core/text/decimal';
import { shortNumber } from '../../core/text/quantities';
import { readCsvTable, UnreadableFile } from './csvTable';
import type { BadLine } from '../readings';

/** A column that a small table must or may have. */
export interface WantedColumn {
  key: string;
  /** What its heading may be. */
  heading: RegExp;
  /** How it is called when it is missing. */
  name: string;
  optional?: boolean;
  /** Text columns are given as they are; numbers have limits, in the file's own unit. */
  number?: { min: number; max: number; isOpen?: boolean; notZero?: boolean };
  /** Text that is to be one of a few words. */
  oneOf?: readonly string[];
}

export interface SmallTable {
  rows: { line: number; values: Record<string, number | string> }[];
  bad: BadLine[];
}

function readRow(
  cells: readonly string[],
  places: readonly { column: WantedColumn; at: number }[],
): Record<string, number | string> | string {
  const values: Record<string, number | string> = {};
  for (const { column, at } of places) {
    const text = (cells[at] ?? '').trim();
    if (text === '' && column.optional === true) continue;
    if (text === '') return `${column.name} is empty`;
    if (column.oneOf?.includes(text) === false) {
      return `${column.name}: “${text.slice(0, 20)}” is none of ${column.oneOf.join(', ')}`;
    }
    if (column.number === undefined) {
      values[column.key] = text.slice(0, 80);
      continue;
    }
    const { min, max, isOpen = false, notZero = false } = column.number;
    const value = parseDecimal(text);
    if (Number.isNaN(value)) return `${column.name}: “${text.slice(0, 20)}” is no number`;
    if (notZero && value === 0) return `${column.name} is 0: that is none`;
    if (value < min || value > max || (isOpen && value === min)) {
      const [least, most] = [min, max].map((limit) => shortNumber(limit, 3));
      const limits = isOpen ? `above ${least}, up to ${most}` : `between ${least} and ${most}`;
      return `${column.name}: ${text} is not ${limits}`;
    }
    values[column.key] = value;
  }
  return values;
}

/**
 * A small table from a CSV file with a heading line: its columns are known by their headings, its bad
 * rows are told with their line numbers and left out.
 *
 * @throws UnreadableFile with a sentence when the file is no such table
 */
export async function readSmallCsv(
  file: File,
  columns: readonly WantedColumn[],
): Promise<SmallTable> {
  const { header, rows } = readCsvTable(new Uint8Array(await file.arrayBuffer()));
  const places = columns.flatMap((column) => {
    const at = header.findIndex((title) => column.heading.test(title));
    return at < 0 ? [] : [{ column, at }];
  });
  const missing = columns.find(
    (column) => column.optional !== true && !places.some((place) => place.column === column),
  );
  if (missing !== undefined) {
    throw new UnreadableFile(
      `There is no column ${missing.name} in the heading line (${header.join(', ').slice(0, 120)}).`,
    );
  }
  const table: SmallTable = { rows: [], bad: [] };
  for (const { line, cells } of rows) {
    const values = readRow(cells, places);
    if (typeof values === 'string') table.bad.push({ line, why: values });
    else table.rows.push({ line, values });
  }
  const [first] = table.bad;
  if (table.rows.length === 0 && first !== undefined) {
    throw new UnreadableFile(`No row could be read. Line ${first.line}: ${first.why}.`);
  }
  return table;
}
