import { recordedText } from '../support/recorded';

/** A recorded table as rows of numbers and words by their headings. */
export function recordedTable(name: string): Record<string, string>[] {
  const text = recordedText(`${name}.csv`);
  const [head = '', ...lines] = text.trim().split('\n');
  const names = head.split(',');
  return lines.map((line) => {
    const cells = line.split(',');
    return Object.fromEntries(names.map((key, i) => [key, cells[i] ?? '']));
  });
}

export const column = (rows: Record<string, string>[], name: string, factor = 1): Float64Array =>
  Float64Array.from(rows, (row) => Number(row[name]) * factor);
