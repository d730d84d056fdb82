import { meaningOf, type ColumnMeaning } from '../../core/channels/title';

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

/** About how many lines a file has, by its beginning. */
export function estimatedLines(head: string, fileBytes: number): number {
  const lines = head.split('\n').length - 1;
  return lines < 2 ? lines : Math.round((fileBytes * lines) / Math.max(1, head.length));
}
