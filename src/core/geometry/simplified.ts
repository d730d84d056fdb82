import type { Point } from './pose';

/** How far a point lies from the stretch between two others. */
function offStretch({ xM, yM }: Point, a: Point, b: Point): number {
  const [dx, dy] = [b.xM - a.xM, b.yM - a.yM];
  const length2 = dx * dx + dy * dy;
  const share =
    length2 === 0 ? 0 : Math.min(1, Math.max(0, ((xM - a.xM) * dx + (yM - a.yM) * dy) / length2));
  return Math.hypot(xM - a.xM - share * dx, yM - a.yM - share * dy);
}

/**
 * A way of many points with as few of them as keep every other within a tolerance of it; its ends stay.
 *
 * Source: Douglas and Peucker, Cartographica 10 (1973) 112–122.
 */
export function simplified(points: readonly Point[], toleranceM: number): Point[] {
  const [first] = points;
  const last = points.at(-1);
  if (first === undefined || last === undefined || points.length < 3) return [...points];
  let farthest = 0;
  let offM = toleranceM;
  for (const [i, point] of points.entries()) {
    const off = offStretch(point, first, last);
    if (off > offM) [farthest, offM] = [i, off];
  }
  if (farthest === 0) return [first, last];
  return [
    ...simplified(points.slice(0, farthest + 1), toleranceM).slice(0, -1),
    ...simplified(points.slice(farthest), toleranceM),
  ];
}
