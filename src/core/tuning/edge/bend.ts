import type { Table } from '../../table/table';
import { FLOOR_MIDDLE, OPEN_FLOOR } from '../../simulate/floor';

/** A line that runs straight, bends by a quarter, and runs straight again; its left edge is followed. */
export interface Bend {
  /** Of the edge that is followed. */
  radiusM: number;
  turns: 'left' | 'right';
  lineWidthM: number;
}

/** Where a point is along the edge, and how far to its left. */
export interface AlongEdge {
  leftM: number;
  /** On the straight behind the bend; negative before that. */
  behindM: number;
}

/** Straight before the bend, and behind it. */
export const STRAIGHT_M = 0.25;
/** Pieces of the bend that are drawn straight stray no further from it. */
const SAGITTA_M = 0.0002;
const FEWEST_PIECES = 6;
const QUARTER_RAD = Math.PI / 2;

const signOf = ({ turns }: Bend): 1 | -1 => (turns === 'left' ? 1 : -1);

/** How long the edge is, from its beginning to its end. */
export const edgeLengthM = ({ radiusM }: Bend): number => 2 * STRAIGHT_M + QUARTER_RAD * radiusM;

/**
 * Where a point is, told by the edge. The edge begins at the origin and runs along x; seen in a mirror where it turns
 * right.
 */
export function alongEdge(bend: Bend, xM: number, yM: number): AlongEdge {
  const sign = signOf(bend);
  const { radiusM } = bend;
  const towards = sign * yM;
  if (xM <= STRAIGHT_M) return { leftM: yM, behindM: -Infinity };
  const fromCentre = { xM: xM - STRAIGHT_M, yM: towards - radiusM };
  if (fromCentre.yM > 0) {
    return { leftM: sign * (radiusM - fromCentre.xM), behindM: fromCentre.yM };
  }
  return {
    leftM: sign * (radiusM - Math.hypot(fromCentre.xM, fromCentre.yM)),
    behindM: -Infinity,
  };
}

/** The line with this left edge, on an open floor; its edge begins at a place there. */
export function bendTable(bend: Bend, from: { xM: number; yM: number }): Table {
  const sign = signOf(bend);
  const { radiusM, lineWidthM } = bend;
  // The middle of the line lies to the right of its left edge.
  const aside = lineWidthM / 2;
  const middleM = Math.max(SAGITTA_M, radiusM + sign * aside);
  const centre = { xM: STRAIGHT_M, yM: sign * radiusM };
  const pieceM = Math.sqrt(8 * middleM * SAGITTA_M);
  const pieces = Math.max(FEWEST_PIECES, Math.ceil((QUARTER_RAD * middleM) / pieceM));
  const onBend = Array.from({ length: pieces + 1 }, (_, i) => {
    const angle = (QUARTER_RAD * i) / pieces;
    return {
      xM: centre.xM + middleM * Math.sin(angle),
      yM: centre.yM - sign * middleM * Math.cos(angle),
    };
  });
  const last = onBend.at(-1) ?? centre;
  const points = [
    { xM: -STRAIGHT_M, yM: -aside },
    ...onBend,
    { xM: last.xM, yM: last.yM + sign * 2 * STRAIGHT_M },
  ];
  return {
    ...OPEN_FLOOR,
    lines: points.slice(1).map((to, i) => {
      const before = points[i] ?? to;
      return {
        x1M: from.xM + before.xM,
        y1M: from.yM + before.yM,
        x2M: from.xM + to.xM,
        y2M: from.yM + to.yM,
        widthM: lineWidthM,
      };
    }),
  };
}

/** The edge begins here on the open floor. */
export const EDGE_FROM = { xM: FLOOR_MIDDLE.xM, yM: FLOOR_MIDDLE.yM };
