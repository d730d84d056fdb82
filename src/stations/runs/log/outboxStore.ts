import type { RunRecord } from '../../../formats/records';

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
export async function keptRuns(seriesId?: string): Promise<RunRecord[]> {
  const prefix = seriesId === undefined ? PREFIX : `${PREFIX}${seriesId}:`;
  const texts = Object.keys(localStorage)
    .filter((key) => key.startsWith(prefix))
    .map((key) => localStorage.getItem(key) ?? '');
  if (texts.length === 0) return [];
  const { runRecord } = await import('../../../formats/records');
  return texts
    .flatMap((text) => {
      try {
        const parsed = runRecord.safeParse(JSON.parse(text));
        return parsed.success ? [parsed.data] : [];
      } catch {
        return [];
      }
    })
    .sort((a, b) => a.happenedAt.localeCompare(b.happenedAt));
}
