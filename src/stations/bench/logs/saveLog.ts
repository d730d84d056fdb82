import { channelsIn } from '../../../core/channels/log';
import { LOG_PIECE_SAMPLES, MAX_LOG_SAMPLES } from '../../../formats/benchConstants';
import type { BenchLogRecord } from '../../../formats/benchLogs';
import type { Log } from '../../../formats/toLog';
import { post, putRecord } from '../../api';

const rounded = (values: Float64Array, from: number, to: number, decimals: number): number[] => {
  const factor = 10 ** decimals;
  return Array.from(values.subarray(from, to), (value) => Math.round(value * factor) / factor);
};

/** A gap is null: JSON knows no other number that is none. */
const withNulls = (values: readonly number[]): (number | null)[] =>
  values.map((value) => (Number.isNaN(value) ? null : value));

/** What a log is called and where it comes from; its identifier makes sending it again harmless. */
export type LogMeta = Pick<BenchLogRecord, 'id' | 'robotId' | 'name' | 'source' | 'takenAt'>;

/** Send a log in pieces, raw; told as it goes. */
export async function saveLog(
  { tS, columns }: Log,
  meta: LogMeta,
  onProgress: (share: number) => void,
): Promise<BenchLogRecord> {
  if (tS.length > MAX_LOG_SAMPLES) {
    throw new Error(
      `This log has ${tS.length} readings; up to ${MAX_LOG_SAMPLES} fit. Log less often, or for a shorter time.`,
    );
  }
  const channels = channelsIn(columns);
  const pieces = Math.ceil(tS.length / LOG_PIECE_SAMPLES);
  const log: BenchLogRecord = {
    ...meta,
    columns: channels.map(([key]) => key),
    pieces,
    samples: tS.length,
  };
  await putRecord('bench-logs', log);
  for (let number = 0; number < pieces; number += 1) {
    const from = number * LOG_PIECE_SAMPLES;
    const to = Math.min(tS.length, from + LOG_PIECE_SAMPLES);
    const parts = channels.map(([key, values]) => [key, withNulls(rounded(values, from, to, 9))]);
    await post(`/api/bench-logs/${meta.id}/pieces`, {
      number,
      tS: rounded(tS, from, to, 6),
      columns: Object.fromEntries(parts) as Record<string, (number | null)[]>,
    });
    onProgress((number + 1) / pieces);
  }
  return log;
}
