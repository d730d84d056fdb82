import type { Pose } from '../geometry/pose';
import { trailPoints } from '../steps/trail';
import type { PlannedStep } from './plan';

/** A way is looked at in steps of so much, and turns in steps of so much. */
const EVERY_M = 0.02;
const EVERY_RAD = 0.1;
/** And in no more than so many. */
const MOST_POSES = 20_000;

/** Poses along the way of a planned step, the last where it ends; its heading changes evenly. */
export function posesAlong(planned: PlannedStep, everyM = EVERY_M): Pose[] {
  const { from, angleRad, distanceM } = planned;
  const points = [from, ...trailPoints(planned)];
  const lengths = points.slice(1).map((to, i) => {
    const before = points[i] ?? to;
    return Math.hypot(to.xM - before.xM, to.yM - before.yM);
  });
  const wholeM = lengths.reduce((sum, one) => sum + one, 0);
  if (distanceM === 0 && angleRad === 0) return [];
  const wanted = Math.max(1, wholeM / everyM, Math.abs(angleRad) / EVERY_RAD);
  const count = Math.min(MOST_POSES, Math.ceil(wanted));
  return Array.from({ length: count }, (_, k) => {
    const share = (k + 1) / count;
    let left = share * wholeM;
    const piece = lengths.findIndex((length) => {
      if (left <= length) return true;
      left -= length;
      return false;
    });
    const at = piece < 0 ? lengths.length - 1 : piece;
    const [a, b] = [points[at] ?? from, points[at + 1] ?? from];
    const along = (lengths[at] ?? 0) > 0 ? Math.min(1, left / (lengths[at] ?? 1)) : 1;
    return {
      xM: a.xM + along * (b.xM - a.xM),
      yM: a.yM + along * (b.yM - a.yM),
      headingRad: from.headingRad + share * angleRad,
    };
  });
}
