import { plainReading, TableBuilder, type ReadingTable } from './readings';

/** So many lines between two looks at the progress. */
const LINES_AT_ONCE = 4000;

function whyRefused(text: string): string {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return 'not readable as JSON: expected {"t_s": 0.02, "heading_deg": 0.1, …} on a line of its own';
  }
  const row = (typeof value === 'object' && value !== null ? value : {}) as Record<string, unknown>;
  return typeof row.t_s === 'number'
    ? 'it holds a number that no sensor gives'
    : 't_s: expected a number, the time in seconds';
}

/**
 * Read JSON Lines: readings as a robot prints them over USB or writes them to a file, one JSON object a line.
 * Only the time stamp is needed. Bad lines are left out and told with their numbers.
 *
 * @param onProgress the share read so far; may throw to cancel
 */
export function parseJsonLines(text: string, onProgress: (share: number) => void): ReadingTable {
  const lines = text.split(/\r?\n/);
  const table = new TableBuilder();
  lines.forEach((line, i) => {
    if (i % LINES_AT_ONCE === 0) onProgress(i / lines.length);
    if (line.trim() === '') return;
    const row = plainReading(line);
    if (row === null) table.refuse(i + 1, whyRefused(line));
    else table.add(row, i + 1);
  });
  return table.done(lines.length);
}
