import { runRecord, type RunRecord } from '../../formats/records';

const PREFIX = 'corvat-run:';

const keyOf = (run: RunRecord) => `${PREFIX}${run.seriesId}:${run.id}`;

/** Write a run into this browser; false when the browser refuses (storage full or switched off). */
export function keep(run: RunRecord): boolean {
  try {
    localStorage.setItem(keyOf(run), JSON.stringify(run));
    return true;
  } catch {
    return false;
  }
}

export const forget = (run: RunRecord): void => localStorage.removeItem(keyOf(run));

/** Runs that this browser keeps and the server has not confirmed, oldest first. */
export function keptRuns(seriesId?: string): RunRecord[] {
  const prefix = seriesId === undefined ? PREFIX : `${PREFIX}${seriesId}:`;
  return Object.keys(localStorage)
    .filter((key) => key.startsWith(prefix))
    .flatMap((key) => {
      try {
        const parsed = runRecord.safeParse(JSON.parse(localStorage.getItem(key) ?? ''));
        return parsed.success ? [parsed.data] : [];
      } catch {
        return [];
      }
    })
    .sort((a, b) => a.happenedAt.localeCompare(b.happenedAt));
}
