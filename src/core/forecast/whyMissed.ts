import type { Pose } from '../geometry/pose';
import { alongAcross } from '../geometry/pose';
import type { Segment } from '../table/table';
import { degrees, errorLength, headingText } from '../text/quantities';
import type { MissionForecast } from './missionForecast';

/** Missions that work in fewer runs are explained. */
const WEAK = 0.5;

/**
 * Why a mission works in few of the runs: what of the mean pose at its mark lies outside its window, the
 * worst first; else that the runs scatter too much, or do not get there.
 *
 * @param step at which it is worked: its number
 * @returns null for a mission that works in half of the runs or more
 */
export function whyMissed(
  { mission, chance, scatter }: Omit<MissionForecast, 'why'>,
  step: string,
): string | null {
  if (chance.rate >= WEAK) return null;
  if (scatter === null) return `No run gets as far as step ${step}.`;
  const { biasXM, biasYM, biasHeadingRad } = scatter;
  if (biasXM === null || biasYM === null || biasHeadingRad === null) return null;
  const { pose, window } = mission;
  const offset = alongAcross({ xM: biasXM, yM: biasYM }, pose.headingRad);
  const comes = pose.headingRad + biasHeadingRad;
  const misses = [
    {
      times: Math.abs(biasHeadingRad) / window.headingRad,
      text: `the robot faces ${headingText(comes, 0)} there, and the mission wants ${headingText(pose.headingRad, 0)} ± ${degrees(window.headingRad)}`,
    },
    {
      times: Math.abs(offset.alongM) / window.alongM,
      text: `it stands ${errorLength(Math.abs(offset.alongM))} ${offset.alongM > 0 ? 'too far ahead' : 'short'}, and ± ${errorLength(window.alongM)} is wanted`,
    },
    {
      times: Math.abs(offset.acrossM) / window.acrossM,
      text: `it stands ${errorLength(Math.abs(offset.acrossM))} too far to the ${offset.acrossM > 0 ? 'left' : 'right'}, and ± ${errorLength(window.acrossM)} is wanted`,
    },
  ]
    .filter(({ times }) => times > 1)
    .toSorted((a, b) => b.times - a.times);
  return misses.length === 0
    ? `At step ${step} the runs are right on average, but scatter by more than its window.`
    : `At step ${step} ${misses.map(({ text }) => text).join('; ')}.`;
}

/** What stands nearest to a place; null where nothing does. */
export function nearestSurface<S extends Segment>(walls: readonly S[], { xM, yM }: Pose): S | null {
  const offM = ({ x1M, y1M, x2M, y2M }: Segment) => {
    const [dx, dy] = [x2M - x1M, y2M - y1M];
    const length2 = dx * dx + dy * dy;
    const along = length2 === 0 ? 0 : ((xM - x1M) * dx + (yM - y1M) * dy) / length2;
    const t = Math.min(1, Math.max(0, along));
    return Math.hypot(xM - x1M - t * dx, yM - y1M - t * dy);
  };
  return walls.reduce<S | null>(
    (best, one) => (best === null || offM(one) < offM(best) ? one : best),
    null,
  );
}
