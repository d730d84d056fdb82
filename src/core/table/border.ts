import { wrap } from '../geometry/angle';
import type { Pose } from '../geometry/pose';
import { rayToSegment } from './ray';
import type { Table } from './table';

/** The side of the border that a robot meets when it drives on as it faces, or backwards. */
export interface BorderAhead {
  /** How far the axle's middle is from that side. */
  distanceM: number;
  /** How much the robot has to turn left until it moves straight at that side. */
  askewRad: number;
  /** Out of the table, across that side. */
  outwardRad: number;
  /** Whether a wall on the table stands in between. */
  isBlocked: boolean;
}

/** Each side: which way it is out of the table, and how far a place is from it. */
const sides = ({ widthM, heightM }: Table, { xM, yM }: Pose) => [
  { outwardRad: 0, distanceM: widthM - xM },
  { outwardRad: Math.PI / 2, distanceM: heightM - yM },
  { outwardRad: Math.PI, distanceM: xM },
  { outwardRad: -Math.PI / 2, distanceM: yM },
];

/** The side of the border to which a direction points most squarely. */
export function borderAhead(from: Pose, directionRad: number, table: Table): BorderAhead {
  const askew = ({ outwardRad }: { outwardRad: number }) => wrap(outwardRad - directionRad);
  const [first, ...others] = sides(table, from);
  const side = others.reduce(
    (best, one) => (Math.abs(askew(one)) < Math.abs(askew(best)) ? one : best),
    first as { outwardRad: number; distanceM: number },
  );
  const nearestWallM = Math.min(
    Infinity,
    ...table.walls.map((wall) => rayToSegment(from.xM, from.yM, directionRad, wall)),
  );
  return { ...side, askewRad: askew(side), isBlocked: nearestWallM < side.distanceM };
}
