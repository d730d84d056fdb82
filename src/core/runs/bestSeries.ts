import { counted, errorLength } from '../text/quantities';
import type { Consistency } from './consistency';

/** All series in one sentence: how many runs, and where the robot landed closest so far. */
export function seriesSentence(series: readonly { trying: string; end: Consistency }[]): string {
  if (series.length === 0) return 'No series yet.';
  const runs = series.reduce((sum, { end }) => sum + end.n, 0);
  const count = `${counted(runs, 'run')} in ${series.length} series.`;
  const measured = series.flatMap(({ trying, end }) =>
    end.r95AboutTargetM === null ? [] : [{ trying, radiusM: end.r95AboutTargetM }],
  );
  const best = measured.toSorted((a, b) => a.radiusM - b.radiusM)[0];
  if (best === undefined) return count;
  return `${count} Closest so far: “${best.trying}”, where 95 of 100 runs land within ${errorLength(best.radiusM)} of the target.`;
}
