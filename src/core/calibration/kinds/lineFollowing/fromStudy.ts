import type { LineFollowingCalibration } from '../../../calibrationValues/lineFollowing';
import type { EdgeRequest, EdgeStudy } from '../../../tuning/edge/edgeStudy';
import { looksAtEdge } from '../../../tuning/edge/followBend';

/** How an edge is to be followed; null where the robot did not hold it in every simulated run. */
export function calibrationFromEdge(
  { robot, size, speedMPerS }: EdgeRequest,
  { gainRadPerS, fastest, rounds, lostAfterS }: EdgeStudy,
): LineFollowingCalibration | null {
  const looks = looksAtEdge(robot);
  if (looks === null || fastest.speedMPerS === null || rounds.successes < rounds.n) return null;
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
