import { isInWindow } from '../geometry/pose';
import type { Mission } from '../table/table';
import { isMarkOf, targetsOf, type Target } from '../table/targets';
import type { MarkPose, SimulatedRun } from './simulatedRun';

/** Where it stood as it began to work a mission, or a part of one, the first time; nowhere where it never came to it. */
export const atMark = ({ marks }: Pick<SimulatedRun, 'marks'>, target: Target) =>
  marks.find((mark) => isMarkOf(mark, target));

/** What has to be worked before a target counts, of all that a route works: what others work is taken as worked. */
export const neededBefore = ({ after }: Target, among: readonly Target[]): Target[] =>
  among.filter(({ id }) => after.includes(id));

/**
 * Whether a run works a mission, or a part of one: it stands in its window then, and all that has to be worked before
 * was.
 *
 * @param among all that the route works
 */
export function works(run: SimulatedRun, target: Target, among: readonly Target[]): boolean {
  const pose = atMark(run, target);
  if (pose === undefined || !isInWindow(pose, target.pose, target.window)) return false;
  const isEarlier = (one: MarkPose | undefined) =>
    one !== undefined && run.marks.indexOf(one) < run.marks.indexOf(pose);
  return neededBefore(target, among).every(
    (one) => isEarlier(atMark(run, one)) && works(run, one, among),
  );
}

/** The missions that a run has come to within their windows so far, or to a part of them: what they move is moved. */
export const missionsWorked = (
  marks: readonly MarkPose[],
  missions: readonly Mission[],
): string[] =>
  missions
    .filter((mission) =>
      targetsOf(mission).some((target) =>
        marks.some(
          (mark) => isMarkOf(mark, target) && isInWindow(mark, target.pose, target.window),
        ),
      ),
    )
    .map(({ id }) => id);

/** What is scored by what was worked: the points of each mission and part, once; and those for all parts of one. */
export function worthOfWorked(worked: readonly Target[]): number {
  const wholes = new Set(worked.flatMap(({ part, mission }) => (part === null ? [] : [mission])));
  const isWhole = (of: Target[]) => of.every(({ key }) => worked.some((one) => one.key === key));
  return (
    worked.reduce((sum, { points }) => sum + points, 0) +
    [...wholes].reduce((sum, one) => sum + (isWhole(targetsOf(one)) ? one.points : 0), 0)
  );
}

/** What a run scores. */
export const pointsOf = (run: SimulatedRun, among: readonly Target[]): number =>
  worthOfWorked(among.filter((target) => works(run, target, among)));

/** So many points, in which share of the runs. */
export interface PointsShare {
  points: number;
  share: number;
}

/** How the points of runs are spread, from the fewest to the most. */
export function pointsSpread(points: readonly number[]): PointsShare[] {
  const counts = new Map<number, number>();
  for (const one of points) counts.set(one, (counts.get(one) ?? 0) + 1);
  return [...counts]
    .toSorted(([a], [b]) => a - b)
    .map(([of, n]) => ({ points: of, share: n / points.length }));
}

/**
 * The expected points of the best of several matches, where the best one counts: P(best ≤ x) = P(one ≤ x)ⁿ.
 *
 * Source: order statistics, David and Nagaraja, Order Statistics, 3rd ed., 2003, section 2.1.
 *
 * @param spread of one of them, from the fewest to the most
 */
export function bestOf(spread: readonly PointsShare[], matches: number): number {
  let [expected, below, reached] = [0, 0, 0];
  for (const { points, share } of spread) {
    reached += share;
    const noMore = reached ** matches;
    expected += points * (noMore - below);
    below = noMore;
  }
  return expected;
}
