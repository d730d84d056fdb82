import Papa from 'papaparse';
import { parseDecimal } from '../../core/text/decimal';
import type { ColumnMeaning } from '../../core/channels/title';
import { delimiterOf } from './delimiter';
import type { ColumnMap } from './logColumns';
import { TableBuilder, type ReadingTable } from '../readings';

/** The header of a CSV file and its first rows, for the choice of columns. */
export function previewCsv(text: string): { header: string[]; rows: string[][] } {
  const { data } = Papa.parse<string[]>(text, {
    delimiter: delimiterOf(text),
    preview: 6,
    skipEmptyLines: true,
  });
  return { header: (data[0] ?? []).map((title) => title.trim()), rows: data.slice(1) };
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
