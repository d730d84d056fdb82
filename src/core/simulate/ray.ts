import type { Pose } from '../geometry/pose';
import { toTable } from '../geometry/pose';
import { wrap } from '../geometry/angle';
import type { Segment } from '../course/table';
import type { DistanceSensor } from '../robot';

/** Distance from a point along a direction to a segment, or Infinity when it is missed. */
export function rayToSegment(xM: number, yM: number, angleRad: number, segment: Segment): number {
  const dx = Math.cos(angleRad);
  const dy = Math.sin(angleRad);
  const ex = segment.x2M - segment.x1M;
  const ey = segment.y2M - segment.y1M;
  const cross = dx * ey - dy * ex;
  if (Math.abs(cross) < 1e-12) return Infinity;
  const px = segment.x1M - xM;
  const py = segment.y1M - yM;
  const along = (px * ey - py * ex) / cross;
  const share = (px * dy - py * dx) / cross;
  return along >= 0 && share >= -1e-9 && share <= 1 + 1e-9 ? along : Infinity;
}

/**
 * The shortest distance from a point to a segment inside a beam: an echo comes from the nearest
 * surface that the beam touches, so a wide beam reads the perpendicular until that leaves the beam.
 * The nearest point is where an edge of the beam meets the segment, or the foot of the perpendicular,
 * or an end of the segment, whichever of these lies in the beam.
 */
export function beamToSegment(
  xM: number,
  yM: number,
  angleRad: number,
  halfAngleRad: number,
  segment: Segment,
): number {
  let nearest = Math.min(
    rayToSegment(xM, yM, angleRad - halfAngleRad, segment),
    rayToSegment(xM, yM, angleRad + halfAngleRad, segment),
  );
  const ex = segment.x2M - segment.x1M;
  const ey = segment.y2M - segment.y1M;
  const length2 = ex * ex + ey * ey;
  const share =
    length2 === 0
      ? 0
      : Math.max(0, Math.min(1, ((xM - segment.x1M) * ex + (yM - segment.y1M) * ey) / length2));
  const fx = segment.x1M + share * ex - xM;
  const fy = segment.y1M + share * ey - yM;
  if (Math.abs(wrap(Math.atan2(fy, fx) - angleRad)) <= halfAngleRad) {
    nearest = Math.min(nearest, Math.hypot(fx, fy));
  }
  return nearest;
}

/** The true gap that the sensor sees from a pose: the nearest surface in its beam, or Infinity. */
export function gapAhead(pose: Pose, sensor: DistanceSensor, surfaces: readonly Segment[]): number {
  const at = toTable(pose, { xM: sensor.aheadM, yM: sensor.leftM });
  let nearest = Infinity;
  for (const surface of surfaces) {
    const gap = beamToSegment(at.xM, at.yM, pose.headingRad, sensor.beamHalfAngleRad, surface);
    if (gap < nearest) nearest = gap;
  }
  return nearest;
}
