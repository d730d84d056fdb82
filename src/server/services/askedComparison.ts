import { selectionFrom, type Selection } from '../../formats/runs/selection';
import type { TeamDatabase } from '../database';
import { seriesBefore, seriesPage } from '../stores/series';
import { sidesOf, type Change } from './aroundChange';

/** The two sides that an address asks for; none where there is nothing to compare. */
export interface Asked {
  a: Selection | null;
  b: Selection | null;
  /** Why a wanted change has no two sides. */
  problem: string | null;
}

/**
 * What an address asks to compare: both sides, a change of a robot, or one side and what was before it; the newest
 * series where nothing is said.
 */
export async function askedComparison(
  db: TeamDatabase,
  params: URLSearchParams,
  changes: readonly Change[],
): Promise<Asked> {
  const [a, b] = [selectionFrom('a', params), selectionFrom('b', params)];
  const change = changes.find(({ id }) => id === params.get('change'));
  if (change !== undefined && (a === null || b === null)) {
    const sides = await sidesOf(db, change);
    return sides === null
      ? {
          a: null,
          b: null,
          problem: `No route of ${change.robotName} has runs on both sides of this change within three weeks: “${change.what}”.`,
        }
      : { ...sides, problem: null };
  }
  const [newest] = b === null ? await seriesPage(db, { limit: 1 }) : [];
  const after = b ?? (newest === undefined ? null : { of: 'series' as const, id: newest.id });
  const before = a === null && after?.of === 'series' ? await seriesBefore(db, after.id) : null;
  return {
    a: a ?? (before === null ? null : { of: 'series', id: before.id }),
    b: after,
    problem: null,
  };
}
