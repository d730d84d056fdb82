import { isInWindow } from '../geometry/pose';
import type { Mission } from '../table/table';
import type { MarkPose, SimulatedRun } from './run';

/** Where it stood as it began to work a mission, the first time; nowhere where it never came to it. */
export const atMark = ({ marks }: SimulatedRun, { id }: Mission): MarkPose | undefined =>
  marks.find(({ missionId }) => missionId === id);

/** Whether a run works a mission: it stands in its window then. */
export function works(run: SimulatedRun, mission: Mission): boolean {
  const pose = atMark(run, mission);
  return pose !== undefined && isInWindow(pose, mission.pose, mission.window);
}

/** What a run scores: the points of each mission that it works, once. */
export const pointsOf = (run: SimulatedRun, missions: readonly Mission[]): number =>
  missions.reduce((sum, mission) => sum + (works(run, mission) ? mission.points : 0), 0);

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
