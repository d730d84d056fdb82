import type { BenchLogPiece, BenchLogRecord } from '../../../formats/benchLogs';
import type { Log } from '../../../formats/toLog';
import { get } from '../../api';

const numbers = (values: readonly (number | null)[] = []): number[] =>
  values.map((value) => value ?? Number.NaN);

/** A kept log, fetched piece by piece; told as it goes. */
export async function loadLog(id: string, onProgress: (share: number) => void): Promise<Log> {
  const { pieces, samples, columns: names } = await get<BenchLogRecord>(`/api/bench-logs/${id}`);
  const tS = new Float64Array(samples);
  const columns = Object.fromEntries(names.map((name) => [name, new Float64Array(samples)]));
  let from = 0;
  for (let number = 0; number < pieces; number += 1) {
    const piece = await get<BenchLogPiece>(`/api/bench-logs/${id}/pieces?number=${number}`);
    tS.set(piece.tS, from);
    for (const name of names) columns[name]?.set(numbers(piece.columns[name]), from);
    from += piece.tS.length;
    onProgress((number + 1) / pieces);
  }
  return { tS, columns };
}
