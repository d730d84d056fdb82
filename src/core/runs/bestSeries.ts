import { counted, errorLength } from '../text/quantities';
import type { Consistency } from './consistency';

/** Up to here runs are counted: more are told as more. */
export const MOST_COUNTED = 10_000;

/** A season in one sentence: how many runs, and where the robot landed closest, of the series that are shown. */
export function seasonSentence(
  season: { series: number; runs: number },
  shown: readonly { trying: string; end: Consistency }[],
): string {
  if (season.series === 0) return 'No series yet.';
  const runs =
    season.runs > MOST_COUNTED ? `More than ${MOST_COUNTED} runs` : counted(season.runs, 'run');
  const count = `${runs} in ${season.series} series.`;
  const measured = shown.flatMap(({ trying, end }) =>
    end.r95AboutTargetM === null ? [] : [{ trying, radiusM: end.r95AboutTargetM }],
  );
  const best = measured.toSorted((a, b) => a.radiusM - b.radiusM)[0];
  if (best === undefined) return count;
  const which = shown.length < season.series ? 'Closest of those shown' : 'Closest so far';
  return `${count} ${which}: “${best.trying}”, where 95 of 100 runs land within ${errorLength(best.radiusM)} of the target.`;
}
