import { bestOf, pointsSpread, type PointsShare } from '../forecast/points';
import { meanRange } from '../forecast/meanRange';
import { median } from '../stats/median';
import { mean } from '../stats/moments';
import { wilson, type SuccessRate } from '../stats/wilson';
import type { DrivenLaunch } from './drivenLaunch';
import type { Match } from './match';
import { betterOrder, type OtherOrder } from './orders';
import { playMatch, type LaunchPlayed, type Played } from './play';

/** How a launch goes in the matches. */
export interface LaunchForecast {
  id: string;
  /** When it starts, in half of the matches in which it does; null where it never does. */
  medianStartS: number | null;
  /** In which share of the matches it starts, stops on the way, and is back before the clock has run out. */
  starts: number;
  fails: number;
  inTime: number;
  /** What it adds on average. */
  points: number;
}

/** What so many simulated matches say. */
export interface MatchForecast {
  matches: number;
  /** How the points are spread, from the fewest to the most; their mean, and between what this robot's own mean lies. */
  points: PointsShare[];
  expected: number;
  low95: number | null;
  high95: number | null;
  /** The mean of the best of as many matches as count. */
  best: number;
  /** All launches are back before the clock has run out. */
  allFit: SuccessRate | null;
  medianEndS: number;
  launches: LaunchForecast[];
  betterOrder: OtherOrder | null;
}

const share = (played: readonly LaunchPlayed[], is: (one: LaunchPlayed) => boolean) =>
  played.filter(is).length / played.length;

function launchForecast(id: string, played: readonly LaunchPlayed[]): LaunchForecast {
  const starts = played.flatMap(({ startS }) => startS ?? []);
  return {
    id,
    medianStartS: starts.length === 0 ? null : median(starts),
    starts: starts.length / played.length,
    fails: share(played, ({ startS, isFailed }) => startS !== null && isFailed),
    inTime: share(played, ({ isInTime }) => isInTime),
    points: mean(played.map(({ points }) => points)),
  };
}

/** The chance of at least so many points. */
export const chanceOfAtLeast = (spread: readonly PointsShare[], wanted: number): number =>
  spread.filter(({ points }) => points >= wanted).reduce((sum, one) => sum + one.share, 0);

/**
 * What matches bring, from simulated runs of their launches: as many matches as there are runs of each, of whole robots.
 *
 * @param launches one at least, each with two robots' runs at least, the same robots in the same places
 */
export function matchForecast(
  launches: readonly DrivenLaunch[],
  played: Played & { match: Match },
): MatchForecast {
  const { runsEach, match } = played;
  const runs = Math.min(...launches.map(({ attempts }) => attempts.length));
  const matches = Math.floor(runs / runsEach) * runsEach;
  const all = Array.from({ length: matches }, (_, index) => playMatch(launches, played, index));
  const points = all.map((one) => one.points);
  const spread = pointsSpread(points);
  const range = meanRange(points, runsEach);
  const fit = all.filter(({ launches: of }) => of.every(({ isInTime }) => isInTime)).length;
  return {
    matches,
    points: spread,
    expected: mean(points),
    low95: range?.low95 ?? null,
    high95: range?.high95 ?? null,
    best: bestOf(spread, match.bestOf),
    allFit: wilson(fit, matches),
    medianEndS: median(all.map(({ endS }) => endS)),
    launches: launches.map(({ id }, place) =>
      launchForecast(
        id,
        all.flatMap((one) => one.launches[place] ?? []),
      ),
    ),
    betterOrder: betterOrder(launches, played, points, match.bestOf),
  };
}
