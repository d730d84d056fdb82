import type { Pose } from '../geometry/pose';
import type { Robot } from '../robot/robot';
import type { Segment } from '../table/table';
import { isInReach, push } from './contact';

type Body = Robot['body'];

/** Deeper than this nothing is that came through this side of a wall since it was looked at last. */
export const DEEPEST_M = 0.01;
/** Depths below this are rounding. */
const TOUCHES_M = 1e-9;
/** A corner between two walls is pushed by either; so often all are looked at in turn. */
const ROUNDS = 2;

/** A wall, and the direction of its length. */
export interface WallSide extends Segment {
  lengthM: number;
  ux: number;
  uy: number;
}

/** The walls that a robot may touch, with what does not change while it does. */
export const sidesInReach = (pose: Pose, reachM: number, walls: readonly Segment[]): WallSide[] =>
  walls
    .filter((wall) => isInReach(pose, reachM, wall))
    .map(({ x1M, y1M, x2M, y2M }) => {
      const lengthM = Math.hypot(x2M - x1M, y2M - y1M);
      const per = lengthM === 0 ? 0 : 1 / lengthM;
      return { x1M, y1M, x2M, y2M, lengthM, ux: (x2M - x1M) * per, uy: (y2M - y1M) * per };
    });

/** A place at which a robot and a wall overlap: how deep, and the way out for the robot. Written anew, not made anew. */
interface Contact {
  xM: number;
  yM: number;
  depthM: number;
  nx: number;
  ny: number;
}

const nowhere = (): Contact => ({ xM: 0, yM: 0, depthM: 0, nx: 0, ny: 0 });
const found = nowhere();
const atCorner = nowhere();

function note(at: Contact, xM: number, yM: number, depthM: number, nx: number, ny: number): void {
  at.xM = xM;
  at.yM = yM;
  at.depthM = depthM;
  at.nx = nx;
  at.ny = ny;
}

/** How deep a corner of the robot is beyond walls, on whose other side its middle is; of several the shallowest, through which it came. */
function cornerIn(pose: Pose, xM: number, yM: number, sides: readonly WallSide[]): void {
  atCorner.depthM = Infinity;
  for (const { x1M, y1M, ux, uy, lengthM } of sides) {
    const along = (xM - x1M) * ux + (yM - y1M) * uy;
    if (along < 0 || along > lengthM || lengthM === 0) continue;
    const side = (pose.yM - y1M) * ux - (pose.xM - x1M) * uy < 0 ? -1 : 1;
    const depthM = side * ((xM - x1M) * uy - (yM - y1M) * ux);
    if (depthM <= TOUCHES_M || depthM > DEEPEST_M || depthM >= atCorner.depthM) continue;
    note(atCorner, xM, yM, depthM, -side * uy, side * ux);
  }
  if (atCorner.depthM === Infinity || atCorner.depthM <= found.depthM) return;
  note(found, xM, yM, atCorner.depthM, atCorner.nx, atCorner.ny);
}

/** How deep the end of a wall is inside the robot, measured to its nearest side. */
function endIn(pose: Pose, body: Body, xM: number, yM: number, cos: number, sin: number): void {
  const ahead = cos * (xM - pose.xM) + sin * (yM - pose.yM);
  const left = -sin * (xM - pose.xM) + cos * (yM - pose.yM);
  const front = body.frontM - ahead;
  const rear = body.rearM + ahead;
  const beside = body.halfWidthM - Math.abs(left);
  const depthM = Math.min(front, rear, beside);
  if (depthM <= TOUCHES_M || depthM > DEEPEST_M || depthM <= found.depthM) return;
  if (depthM === beside) {
    const away = left > 0 ? -1 : 1;
    note(found, xM, yM, depthM, -away * sin, away * cos);
  } else {
    const away = depthM === front ? -1 : 1;
    note(found, xM, yM, depthM, away * cos, away * sin);
  }
}

/** Find where a robot and some walls overlap most; whether they do. */
function findDeepest(pose: Pose, body: Body, sides: readonly WallSide[]): boolean {
  const cos = Math.cos(pose.headingRad);
  const sin = Math.sin(pose.headingRad);
  found.depthM = 0;
  for (let corner = 0; corner < 4; corner += 1) {
    const aheadM = corner < 2 ? body.frontM : -body.rearM;
    const leftM = corner === 0 || corner === 3 ? body.halfWidthM : -body.halfWidthM;
    cornerIn(
      pose,
      pose.xM + cos * aheadM - sin * leftM,
      pose.yM + sin * aheadM + cos * leftM,
      sides,
    );
  }
  for (const { x1M, y1M, x2M, y2M } of sides) {
    endIn(pose, body, x1M, y1M, cos, sin);
    endIn(pose, body, x2M, y2M, cos, sin);
  }
  return found.depthM > 0;
}

/**
 * Push a robot that pokes into walls on the table back out of them, the deepest place first, changing `pose`: its
 * corners beyond a wall, and ends of walls within its outline. As on the border, a robot that is pressed on one
 * corner squares up.
 *
 * Source: as `pushInside`.
 * @param sides of the walls in reach
 * @returns whether anything touched
 */
export function pushOffWalls(pose: Pose, body: Body, sides: readonly WallSide[]): boolean {
  let touched = false;
  for (let round = 0; round < ROUNDS; round += 1) {
    if (!findDeepest(pose, body, sides)) return touched;
    touched = true;
    const { xM, yM, depthM, nx, ny } = found;
    push(pose, xM, yM, depthM, nx, ny, body);
  }
  return touched;
}
