import type { Pose } from '../geometry/pose';
import type { Table } from './table';

/** From where to where along a way a line lies. */
export interface LineAhead {
  fromM: number;
  toM: number;
}

type Line = Table['lines'][number];

/** Where a straight way from a place passes over a line, as wide as it is; null where it does not. */
function passedOver(line: Line, { xM, yM, headingRad }: Pose): LineAhead | null {
  const [ex, ey] = [line.x2M - line.x1M, line.y2M - line.y1M];
  const length = Math.hypot(ex, ey);
  if (length === 0) return null;
  const [ux, uy] = [ex / length, ey / length];
  const [px, py] = [xM - line.x1M, yM - line.y1M];
  const [dx, dy] = [Math.cos(headingRad), Math.sin(headingRad)];
  // Along the line and across it, of the place and of the way from it.
  const half = line.widthM / 2;
  const slabs = [
    { at: px * ux + py * uy, by: dx * ux + dy * uy, low: 0, high: length },
    { at: py * ux - px * uy, by: dy * ux - dx * uy, low: -half, high: half },
  ];
  let [fromM, toM] = [-Infinity, Infinity];
  for (const { at, by, low, high } of slabs) {
    if (Math.abs(by) < 1e-12) {
      if (at < low || at > high) return null;
      continue;
    }
    const ends = [(low - at) / by, (high - at) / by];
    fromM = Math.max(fromM, Math.min(...ends));
    toM = Math.min(toM, Math.max(...ends));
  }
  return fromM < toM && toM > 0 ? { fromM, toM } : null;
}

/**
 * The lines that a straight way passes over, in order, those that touch as one; the first may be the one on which it
 * begins.
 *
 * Source: clipping a ray by the slabs of a rectangle, Kay and Kajiya, SIGGRAPH '86, 269–278.
 */
export function linesAhead(lines: readonly Line[], from: Pose): LineAhead[] {
  const passed = lines
    .flatMap((line) => passedOver(line, from) ?? [])
    .toSorted((a, b) => a.fromM - b.fromM);
  const merged: LineAhead[] = [];
  for (const { fromM, toM } of passed) {
    const last = merged.at(-1);
    if (last !== undefined && fromM <= last.toM) last.toM = Math.max(last.toM, toM);
    else merged.push({ fromM, toM });
  }
  return merged;
}
