import type { Point } from '../geometry/pose';
import type { Line } from './table';

/** Straight pieces stand for an arc to within so much. */
const TOLERANCE_M = 0.001;
const STRAIGHT_RAD = 1e-6;
const MOST_PIECES = 60;

/**
 * Points of a line from one end to the other: its ends, or those of the straight pieces that stand for its arc to
 * within a millimetre.
 *
 * Source: chord c of an arc of angle φ and radius r: c = 2·r·sin(φ/2); a piece of angle α leaves it by r·(1 − cos(α/2)).
 */
export function linePoints({ x1M, y1M, x2M, y2M, ...line }: Line): Point[] {
  const bendRad = line.bendRad ?? 0;
  const [from, to] = [
    { xM: x1M, yM: y1M },
    { xM: x2M, yM: y2M },
  ];
  const chordM = Math.hypot(x2M - x1M, y2M - y1M);
  const sweepRad = Math.abs(bendRad);
  if (sweepRad < STRAIGHT_RAD || chordM === 0) return [from, to];
  const radiusM = chordM / (2 * Math.sin(sweepRad / 2));
  const pieceRad = 2 * Math.acos(1 - Math.min(1, TOLERANCE_M / radiusM));
  const pieces = Math.min(MOST_PIECES, Math.ceil(sweepRad / pieceRad));
  // It begins half its bend to the other side of the way to its end, and turns evenly.
  const beginsRad = Math.atan2(y2M - y1M, x2M - x1M) - bendRad / 2;
  const stepM = 2 * radiusM * Math.sin(sweepRad / pieces / 2);
  const points: Point[] = [from];
  let at = from;
  for (let i = 0; i < pieces - 1; i += 1) {
    const headingRad = beginsRad + ((i + 0.5) * bendRad) / pieces;
    at = {
      xM: at.xM + stepM * Math.cos(headingRad),
      yM: at.yM + stepM * Math.sin(headingRad),
    };
    points.push(at);
  }
  return [...points, to];
}

/** A line as straight ones, end to end. */
export function straightPieces(line: Line): Line[] {
  const points = linePoints(line);
  return points.slice(1).map((to, i) => {
    const from = points[i] ?? to;
    return { ...line, x1M: from.xM, y1M: from.yM, x2M: to.xM, y2M: to.yM, bendRad: null };
  });
}
