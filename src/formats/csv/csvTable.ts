import Papa from 'papaparse';
import { delimiterOf } from './delimiter';

/** Rows carry their number as an editor shows it, the heading line being 1. */
export interface CsvTable {
  header: string[];
  rows: { line: number; cells: string[] }[];
}

/** A file that cannot be read as a table at all. */
export class UnreadableFile extends Error {}

export const MAX_CSV_BYTES = 2 * 1024 * 1024;
const MAX_ROWS = 2000;
const MAX_COLUMNS = 60;

/**
 * Bytes of a file as a table of text: UTF-8, comma, semicolon or tab between fields (guessed).
 * @throws UnreadableFile with a sentence for people
 */
export function readCsvTable(bytes: Uint8Array): CsvTable {
  if (bytes.byteLength === 0) throw new UnreadableFile('The file is empty.');
  if (bytes.byteLength > MAX_CSV_BYTES) {
    throw new UnreadableFile(
      `The file has ${(bytes.byteLength / 1e6).toFixed(1)} MB; at most 2 MB fit. Save the rows that you need as a file of their own.`,
    );
  }
  let text: string;
  try {
    text = new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    throw new UnreadableFile('This is not a text file in UTF-8. Save it as CSV in UTF-8.');
  }
  if (text.includes('\0')) throw new UnreadableFile('This is not a text file. Save it as CSV.');
  const [header, ...rest] = Papa.parse<string[]>(text, { delimiter: delimiterOf(text) }).data;
  const rows = rest
    .map((cells, index) => ({ line: index + 2, cells }))
    .filter(({ cells }) => cells.some((cell) => cell.trim() !== ''));
  if (header === undefined || rows.length === 0) {
    throw new UnreadableFile('The file has no rows under its heading line.');
  }
  if (header.length > MAX_COLUMNS) {
    throw new UnreadableFile(`The file has ${header.length} columns; at most ${MAX_COLUMNS} fit.`);
  }
  if (rows.length > MAX_ROWS) {
    throw new UnreadableFile(`The file has ${rows.length} rows; at most ${MAX_ROWS} fit at once.`);
  }
  return { header: header.map((name) => name.trim()), rows };
}
