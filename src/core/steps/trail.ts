import type { Point } from '../geometry/pose';
import { simplified } from '../geometry/simplified';
import type { Motion } from './kind';

/** A piece of the way that the middle of the axle makes. */
export type TrailPiece =
  | { line: [from: Point, to: Point] }
  | { arc: { centre: Point; radiusM: number; fromRad: number; sweepRad: number } };

/** A rehearsed way is told to within so much. */
const TOLERANCE_M = 0.002;
/** An arc is drawn by a point for each so much of it. */
const PER_POINT_RAD = 0.1;

/** A way of many points in straight pieces. */
export function linesThrough(points: readonly Point[]): TrailPiece[] {
  const kept = simplified(points, TOLERANCE_M);
  return kept.slice(1).map((to, i) => ({ line: [kept[i] ?? to, to] }));
}

/** The way of a planned step, piece by piece; none where it stays. */
export function trailOf({ from, to, distanceM, trail }: Motion & { from: Point }): TrailPiece[] {
  if (trail !== undefined) return trail;
  if (distanceM === 0) return [];
  return [
    {
      line: [
        { xM: from.xM, yM: from.yM },
        { xM: to.xM, yM: to.yM },
      ],
    },
  ];
}

function pointsOf(piece: TrailPiece): Point[] {
  if ('line' in piece) return piece.line;
  const { centre, radiusM, fromRad, sweepRad } = piece.arc;
  const parts = Math.max(1, Math.ceil(Math.abs(sweepRad) / PER_POINT_RAD));
  return Array.from({ length: parts + 1 }, (_, i) => {
    const rad = fromRad + (sweepRad * i) / parts;
    return { xM: centre.xM + radiusM * Math.cos(rad), yM: centre.yM + radiusM * Math.sin(rad) };
  });
}

/** The same as points to draw a line through. */
export const trailPoints = (planned: Motion & { from: Point }): Point[] => [
  ...trailOf(planned).flatMap(pointsOf),
  planned.to,
];

/** Half of that way: where its name stands. */
export function middleOfTrail(planned: Motion & { from: Point }): { at: Point; isSteep: boolean } {
  const points = [planned.from, ...trailPoints(planned)];
  const lengths = points.slice(1).map((to, i) => {
    const from = points[i] ?? to;
    return Math.hypot(to.xM - from.xM, to.yM - from.yM);
  });
  let left = lengths.reduce((sum, length) => sum + length, 0) / 2;
  for (const [i, length] of lengths.entries()) {
    const [from, to] = [points[i] ?? planned.from, points[i + 1] ?? planned.to];
    if (left <= length && length > 0) {
      const share = left / length;
      return {
        at: {
          xM: from.xM + share * (to.xM - from.xM),
          yM: from.yM + share * (to.yM - from.yM),
        },
        isSteep: Math.abs(to.yM - from.yM) > Math.abs(to.xM - from.xM),
      };
    }
    left -= length;
  }
  return { at: planned.to, isSteep: false };
}
