import type { RunRecord } from '../../../formats/records';
import {
  forget as forgetKey,
  keep as keepText,
  keptKeys,
  readKeptAs,
} from '../../../ui/browser/browserStore';

const PREFIX = 'corvat-run:';

const keyOf = (run: RunRecord) => `${PREFIX}${run.seriesId}:${run.id}`;

/** Write a run into this browser; false when the browser refuses (storage full or switched off). */
export const keep = (run: RunRecord): boolean => keepText(keyOf(run), JSON.stringify(run));

export const forget = (run: RunRecord): void => forgetKey(keyOf(run));

/** Runs that this browser keeps and the server has not confirmed, oldest first. */
export async function keptRuns(seriesId?: string): Promise<RunRecord[]> {
  const keys = keptKeys(seriesId === undefined ? PREFIX : `${PREFIX}${seriesId}:`);
  if (keys.length === 0) return [];
  const { runRecord } = await import('../../../formats/records');
  return keys
    .map((key) => readKeptAs(key, (value) => runRecord.parse(value)))
    .filter((run) => run !== null)
    .sort((a, b) => a.happenedAt.localeCompare(b.happenedAt));
}
