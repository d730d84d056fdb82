import type { Pose } from '../geometry/pose';
import { toTable } from '../geometry/pose';
import type { Segment } from './table';
import type { Device } from '../devices/device';

/** Distance from a point along a direction (of length one) to a segment, or Infinity when it is missed. */
function alongRay(xM: number, yM: number, dx: number, dy: number, segment: Segment): number {
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

/** The same for a direction as an angle. */
export const rayToSegment = (xM: number, yM: number, angleRad: number, segment: Segment): number =>
  alongRay(xM, yM, Math.cos(angleRad), Math.sin(angleRad), segment);

/**
 * The shortest distance from a point to the nearest of some segments inside a beam: an echo comes from the
 * nearest surface that the beam touches, so a wide beam reads the perpendicular until that leaves the beam.
 * The nearest point of a segment is where an edge of the beam meets it, or the foot of the perpendicular, or
 * an end of the segment, whichever of these lies in the beam. Infinity where nothing does.
 */
export function nearestInBeam(
  xM: number,
  yM: number,
  angleRad: number,
  halfAngleRad: number,
  segments: readonly Segment[],
): number {
  const [c, s] = [Math.cos(angleRad), Math.sin(angleRad)];
  const [ch, sh] = [Math.cos(halfAngleRad), Math.sin(halfAngleRad)];
  let nearest = Infinity;
  for (const segment of segments) {
    nearest = Math.min(
      nearest,
      alongRay(xM, yM, c * ch + s * sh, s * ch - c * sh, segment),
      alongRay(xM, yM, c * ch - s * sh, s * ch + c * sh, segment),
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
    const distance = Math.sqrt(fx * fx + fy * fy);
    // Within the beam: the cosine of the angle to its axis is that of half the beam or more.
    if (distance < nearest && fx * c + fy * s >= distance * ch - 1e-12) nearest = distance;
  }
  return nearest;
}

/** The true gap that a sensor sees from where it sits: the nearest surface in its beam, or Infinity. */
export function gapAhead(
  pose: Pose,
  { place, facingRad }: Pick<Device, 'place' | 'facingRad'>,
  beamHalfAngleRad: number,
  surfaces: readonly Segment[],
): number {
  const at = toTable(pose, { xM: place.aheadM, yM: place.leftM });
  return nearestInBeam(at.xM, at.yM, pose.headingRad + facingRad, beamHalfAngleRad, surfaces);
}
