import { wrap } from '../geometry/angle';
import type { Pose } from '../geometry/pose';
import type { Segment, Table } from './table';

/** What a robot comes against when it drives on as it faces, or backwards: a side of the border, or a wall. */
export interface SurfaceAhead {
  /** Null: a side of the border. */
  wall: Segment | null;
  /** How far the axle's middle is from its line; negative beyond a side of the border. */
  distanceM: number;
  /** How much the robot has to turn left until it moves straight at it. */
  askewRad: number;
  /** Across it, away from the robot. */
  outwardRad: number;
  /** How far it drives until something of it touches. */
  untilM: number;
}

/** What drives ahead: a face of the robot, so far before its axle and so wide to either side. */
export interface Face {
  reachM: number;
  halfWidthM: number;
}

/** Touched at the same time, as far as anybody can tell. */
const AT_ONCE_M = 0.001;

/** How far a face drives until it touches a segment; Infinity where it does not come by. */
function untilTouchedM(from: Pose, directionRad: number, face: Face, segment: Segment): number {
  const [c, s] = [Math.cos(directionRad), Math.sin(directionRad)];
  const ahead = (xM: number, yM: number) => c * (xM - from.xM) + s * (yM - from.yM);
  const left = (xM: number, yM: number) => -s * (xM - from.xM) + c * (yM - from.yM);
  const [a, b] = [ahead(segment.x1M, segment.y1M), ahead(segment.x2M, segment.y2M)];
  const [p, q] = [left(segment.x1M, segment.y1M), left(segment.x2M, segment.y2M)];
  const { halfWidthM, reachM } = face;
  if (Math.min(p, q) >= halfWidthM || Math.max(p, q) <= -halfWidthM) return Infinity;
  const at = (leftM: number) => (p === q ? a : a + ((b - a) * (leftM - p)) / (q - p));
  const within = (leftM: number) => Math.max(-halfWidthM, Math.min(halfWidthM, leftM));
  const untilM = Math.min(at(within(p)), at(within(q)), p === q ? b : Infinity) - reachM;
  return untilM < -AT_ONCE_M ? Infinity : Math.max(0, untilM);
}

/** How far a place is from a segment's line, to its left. */
function leftOf({ xM, yM }: Pose, { x1M, y1M, x2M, y2M }: Segment): number {
  const alongRad = Math.atan2(y2M - y1M, x2M - x1M);
  return Math.cos(alongRad) * (yM - y1M) - Math.sin(alongRad) * (xM - x1M);
}

/** The border's side, or a wall, as it is met from the side that lies to its left. */
function met(from: Pose, directionRad: number, face: Face, segment: Segment): SurfaceAhead {
  const { x1M, y1M, x2M, y2M } = segment;
  const outwardRad = wrap(Math.atan2(y2M - y1M, x2M - x1M) - Math.PI / 2);
  return {
    wall: segment,
    distanceM: leftOf(from, segment),
    askewRad: wrap(outwardRad - directionRad),
    outwardRad,
    untilM: untilTouchedM(from, directionRad, face, segment),
  };
}

const turnedRound = ({ x1M, y1M, x2M, y2M }: Segment): Segment => ({
  x1M: x2M,
  y1M: y2M,
  x2M: x1M,
  y2M: y1M,
});

/** The sides of the border, with the inside on their left. */
const border = ({ widthM: w, heightM: h }: Table): Segment[] => [
  { x1M: w, y1M: 0, x2M: w, y2M: h },
  { x1M: w, y1M: h, x2M: 0, y2M: h },
  { x1M: 0, y1M: h, x2M: 0, y2M: 0 },
  { x1M: 0, y1M: 0, x2M: w, y2M: 0 },
];

const lessAskew = (a: SurfaceAhead, b: SurfaceAhead): SurfaceAhead =>
  Math.abs(b.askewRad) < Math.abs(a.askewRad) ? b : a;

/**
 * What a face of the robot comes against first: a wall in its way, or the side of the border to which its direction
 * points most squarely; of what it touches at once, as at the corner of an obstacle, the one that it meets more squarely.
 */
export function surfaceAhead(
  from: Pose,
  directionRad: number,
  face: Face,
  table: Table,
): SurfaceAhead {
  const [first, ...others] = border(table).map((side) => met(from, directionRad, face, side));
  const side = { ...others.reduce(lessAskew, first as SurfaceAhead), wall: null };
  const walls = table.walls.map((wall) => {
    const facing = leftOf(from, wall) < 0 ? turnedRound(wall) : wall;
    return { ...met(from, directionRad, face, facing), wall };
  });
  const nearestM = Math.min(side.untilM, ...walls.map(({ untilM }) => untilM));
  // Nothing is ahead of a robot that stands beyond the border.
  if (nearestM === Infinity) return side;
  const touched = walls.filter(({ untilM }) => untilM <= nearestM + AT_ONCE_M);
  const [wall, ...more] = side.untilM < nearestM + AT_ONCE_M ? [side, ...touched] : touched;
  return wall === undefined ? side : more.reduce(lessAskew, wall);
}
