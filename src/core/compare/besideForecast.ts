import type { Consistency } from '../runs/consistency';
import type { Forecast } from '../forecast/summary';
import { errorLength, number } from '../text/quantities';

const per100 = (share: number) => number(share * 100);

/** How often it was expected to work, and did; null where either is not known. */
function successBeside({ all }: Forecast, { success }: Consistency): string | null {
  if (all === null || success === null) return null;
  const expected = `Expected to work: ${per100(all.rate)} of 100 runs; for this very robot, as far as it was measured then, between ${per100(all.low)} and ${per100(all.high)}.`;
  const did = `It did in ${success.successes} of ${success.n}, so that the true rate lies between ${per100(success.low95)} and ${per100(success.high95)} of 100.`;
  const verdict =
    success.high95 < all.low
      ? 'That is less than chance explains: something is at work that the forecast does not know of.'
      : success.low95 > all.high
        ? 'That is more than chance explains: the robot is better than what is assumed of it.'
        : 'The difference may be chance.';
  return `${expected} ${did} ${verdict}`;
}

/** How near to the target runs were expected to end, and did; null where either is not known. */
function endBeside(forecast: Forecast, end: Consistency): string | null {
  const expectedM = forecast.end.r95AboutTargetM;
  const { r95AboutTargetM, r95AboutTargetLow95M, r95AboutTargetHigh95M } = end;
  if (expectedM === null || r95AboutTargetM === null) return null;
  const low = r95AboutTargetLow95M ?? 0;
  const did = `95 of 100 runs were expected within ${errorLength(expectedM)} of the target; they land within ${errorLength(r95AboutTargetM)} (${errorLength(low)} to ${errorLength(r95AboutTargetHigh95M ?? r95AboutTargetM)}).`;
  // The forecast is of all robots that this one may be: one of them may well be nearer.
  return low > expectedM
    ? `${did} That is further than chance explains: look for what turned or slipped.`
    : `${did} That is no more than was to be expected.`;
}

/**
 * What a route's version was expected to do, what it did, and whether the difference is chance.
 *
 * @param forecast on what the series was run on, with what was not known then
 * @param end of the runs that were made
 */
export const besideForecast = (forecast: Forecast, end: Consistency): string[] =>
  [successBeside(forecast, end), endBeside(forecast, end)].filter((text) => text !== null);
