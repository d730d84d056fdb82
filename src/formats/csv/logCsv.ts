import Papa from 'papaparse';
import { parseDecimal } from '../../core/text/decimal';
import { meaningOf, type ColumnMeaning } from '../../core/channels/title';
import { delimiterOf } from './delimiter';
import { TableBuilder, type ReadingTable } from '../readings';

/** What each column of a CSV file holds, by its place; null: it is left out. */
export interface ColumnMap {
  time: { column: number; factor: number } | null;
  columns: (ColumnMeaning | null)[];
}

export const TIME_UNITS = [
  { name: 's', factor: 1 },
  { name: 'ms', factor: 0.001 },
  { name: 'µs', factor: 0.000001 },
] as const;

const TIME = /^(t|time|zeit|seconds?|timestamp)(\b|_)/i;

const timeFactor = (title: string): number =>
  /ms|milli/i.test(title) ? 0.001 : /µs|us$|micro/i.test(title) ? 0.000001 : 1;

/** Which columns a header seems to mean, and in which units. */
export function guessColumns(header: readonly string[]): ColumnMap {
  const column = header.findIndex((title) => TIME.test(title));
  const taken = new Set<string>();
  const columns = header.map((title, i) => {
    if (i === column) return null;
    const meaning = meaningOf(title, taken);
    taken.add(meaning.key);
    return meaning;
  });
  return {
    time: column < 0 ? null : { column, factor: timeFactor(header[column] ?? '') },
    columns,
  };
}

/** The channel that two columns are both said to hold, or null. */
export function doubledKey({ columns }: ColumnMap): string | null {
  const keys = columns.flatMap((meaning) => meaning?.key ?? []);
  return keys.find((key, i) => keys.indexOf(key) !== i) ?? null;
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

const NOTHING = /^(nan|none|null|-+)?$/i;

/** The number in a cell; NaN where there is none, null where it is something else. */
function cellNumber(text: string): number | null {
  const cell = text.trim();
  if (NOTHING.test(cell)) return Number.NaN;
  if (/^(true|false)$/i.test(cell)) return cell.toLowerCase() === 'true' ? 1 : 0;
  const value = parseDecimal(cell);
  return Number.isFinite(value) ? value : null;
}

/** Titles by place, each once: what a file leaves unnamed or names twice is told apart. */
function titlesOf(header: readonly string[]): string[] {
  const titles: string[] = [];
  for (const [i, text] of header.entries()) {
    const title = text.trim() || `column ${i + 1}`;
    titles.push(titles.includes(title) ? `${title} (${i + 1})` : title);
  }
  return titles;
}

/**
 * Read a CSV file with a header line by a choice of columns. An empty cell is a gap. Bad rows are left out and
 * told with their line numbers (the header is line 1).
 */
export function parseLogCsv(
  text: string,
  { time, columns }: ColumnMap,
  onProgress: (share: number) => void,
): ReadingTable {
  const table = new TableBuilder();
  const meanings = new Map<string, ColumnMeaning>();
  let titles: string[] = [];
  let line = 0;
  const begin = (header: readonly string[]) => {
    titles = titlesOf(header);
    titles.forEach((title, i) => {
      const meaning = columns[i];
      if (meaning != null) meanings.set(title, meaning);
      else if (i !== time?.column) table.leaveOut(title, 'it was not chosen');
    });
  };
  const take = (cells: readonly string[]) => {
    const row: Record<string, number | null> = {};
    const tS = cellNumber(cells[time?.column ?? -1] ?? '');
    if (tS === null || Number.isNaN(tS)) {
      const place = (time?.column ?? -1) + 1;
      return table.refuse(line, `column ${place} (time): ${told(cells[place - 1])}`);
    }
    for (const [i, title] of titles.entries()) {
      if (columns[i] == null) continue;
      const value = cellNumber(cells[i] ?? '');
      if (value === null) {
        return table.refuse(line, `column ${i + 1} (${title}): ${told(cells[i])}`);
      }
      row[title] = Number.isNaN(value) ? null : value;
    }
    table.add({ ...row, t_s: tS * (time?.factor ?? 1) });
  };
  Papa.parse<string[]>(text, {
    delimiter: delimiterOf(text),
    step: ({ data, meta }) => {
      line += 1;
      if (line % 4000 === 0) onProgress(meta.cursor / text.length);
      if (line === 1) begin(data);
      else if (data.length > 1 || data[0]?.trim() !== '') take(data);
    },
  });
  return table.done(line, meanings);
}

const told = (cell = ''): string =>
  cell.trim() === '' ? 'is empty' : `“${cell.slice(0, 20)}” is no number`;
