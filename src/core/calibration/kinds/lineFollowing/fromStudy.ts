import type { LineFollowingCalibration } from '../../../calibrationValues/lineFollowing';
import type { SuccessRate } from '../../../stats/wilson';
import type { EdgeRequest, EdgeStudy } from '../../../tuning/edge/edgeStudy';
import { looksAtEdge } from '../../../tuning/edge/followBend';

/**
 * How an edge is to be followed; null where the robot did not hold it in every simulated run, or lost it at the table,
 * driven just so.
 */
export function calibrationFromEdge(
  { robot, size, speedMPerS }: EdgeRequest,
  { gainRadPerS, fastest, rounds, lostAfterS }: EdgeStudy,
  table: SuccessRate | null,
): LineFollowingCalibration | null {
  const looks = looksAtEdge(robot);
  const isLost = [rounds, table].some((one) => one !== null && one.successes < one.n);
  if (looks === null || fastest.speedMPerS === null || isLost) return null;
  return {
    kind: 'line-following',
    targetShare: looks.target,
    gainRadPerSPerShare: gainRadPerS,
    speedMPerS,
    tightestBendM: size.radiusM,
    lineWidthM: size.lineWidthM,
    fastestMPerS: fastest.speedMPerS,
    lostAfterS,
    runs: rounds.n,
    held: rounds.successes,
  };
}
