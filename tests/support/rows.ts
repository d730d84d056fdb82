import { expect } from 'vitest';
import { recordedText } from './recorded';

/** The rows of a recorded file, by the titles of its columns. */
export function rowsOf(file: string): Record<string, string>[] {
  const [head = '', ...lines] = recordedText(file).trim().split('\n');
  const titles = head.trim().split(',');
  return lines.map((line) =>
    Object.fromEntries(
      line
        .trim()
        .split(',')
        .map((cell, i) => [titles[i] ?? '', cell]),
    ),
  );
}

export const truth = JSON.parse(recordedText('truth.json')) as Record<
  string,
  Record<string, never>
>;
export const trueOf = (file: string, key: string): number => Number(truth[file]?.[key]);
export const number = (row: Record<string, string>, column: string) => Number(row[column]);
/** An interval holds a value. */
export const within = (low: number, value: number, high: number) => {
  expect(low).toBeLessThanOrEqual(value);
  expect(high).toBeGreaterThanOrEqual(value);
};
