import { unpackColumn } from './packedColumn';
import type { PlainRow } from './rowSchemas';

/**
 * Looks at channels of logs as they are read: a piece has as many readings in each as it has times.
 *
 * @returns a function that says what is wrong with one more; null: it fits
 */
export function fittingColumns(): (row: PlainRow) => string | null {
  const lengths = new Map<string, number>();
  return ({ logId, number, data }) => {
    let length: number;
    try {
      ({ length } = unpackColumn(data as Buffer));
    } catch {
      return 'data: expected packed numbers, no more than a piece of a log holds';
    }
    const piece = `${String(logId)} ${String(number)}`;
    const before = lengths.get(piece) ?? length;
    lengths.set(piece, before);
    return before === length
      ? null
      : `data: expected ${before} readings, as many as its other channels have; found ${length}`;
  };
}
