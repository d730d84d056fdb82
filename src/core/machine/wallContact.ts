import type { Pose } from '../geometry/pose';
import type { Robot } from '../robot/robot';
import type { Segment } from '../table/table';
import { corners, push } from './contact';

type Body = Robot['body'];

/** Deeper than this nothing is that came through this side of a wall since it was looked at last. */
export const DEEPEST_M = 0.01;
/** Depths below this are rounding. */
const TOUCHES_M = 1e-9;
/** A corner between two walls is pushed by either; so often all are looked at in turn. */
const ROUNDS = 4;

/** A place at which a robot and a wall overlap: how deep, and the way out for the robot. */
interface Contact {
  xM: number;
  yM: number;
  depthM: number;
  nx: number;
  ny: number;
}

/** Keep the deepest contact; of one corner the shallowest is the wall through which it came. */
const deeper = (a: Contact | null, b: Contact | null): Contact | null =>
  a === null || (b !== null && b.depthM > a.depthM) ? b : a;

/** How deep a corner of the robot is beyond the side of a wall on which the robot's middle is; null: it is not. */
function cornerIn(pose: Pose, xM: number, yM: number, wall: Segment): Contact | null {
  const ex = wall.x2M - wall.x1M;
  const ey = wall.y2M - wall.y1M;
  const lengthM = Math.sqrt(ex * ex + ey * ey);
  if (lengthM === 0) return null;
  const along = ((xM - wall.x1M) * ex + (yM - wall.y1M) * ey) / lengthM;
  if (along < 0 || along > lengthM) return null;
  const side = (pose.xM - wall.x1M) * -ey + (pose.yM - wall.y1M) * ex < 0 ? -1 : 1;
  const nx = (side * -ey) / lengthM;
  const ny = (side * ex) / lengthM;
  const depthM = (wall.x1M - xM) * nx + (wall.y1M - yM) * ny;
  return depthM > TOUCHES_M && depthM <= DEEPEST_M ? { xM, yM, depthM, nx, ny } : null;
}

/** How deep the end of a wall is inside the robot, measured to its nearest side; null: it is not. */
function endIn(pose: Pose, body: Body, xM: number, yM: number): Contact | null {
  const cos = Math.cos(pose.headingRad);
  const sin = Math.sin(pose.headingRad);
  const ahead = cos * (xM - pose.xM) + sin * (yM - pose.yM);
  const left = -sin * (xM - pose.xM) + cos * (yM - pose.yM);
  const front = body.frontM - ahead;
  const rear = body.rearM + ahead;
  const beside = body.halfWidthM - Math.abs(left);
  const depthM = Math.min(front, rear, beside);
  if (depthM <= TOUCHES_M || depthM > DEEPEST_M) return null;
  if (depthM === beside) {
    const away = left > 0 ? -1 : 1;
    return { xM, yM, depthM, nx: -away * sin, ny: away * cos };
  }
  const away = depthM === front ? -1 : 1;
  return { xM, yM, depthM, nx: away * cos, ny: away * sin };
}

/** Where a robot and some walls overlap most; null: nowhere. */
function deepest(pose: Pose, body: Body, walls: readonly Segment[]): Contact | null {
  const cos = Math.cos(pose.headingRad);
  const sin = Math.sin(pose.headingRad);
  let found: Contact | null = null;
  for (const corner of corners(body)) {
    const xM = pose.xM + cos * corner.xM - sin * corner.yM;
    const yM = pose.yM + sin * corner.xM + cos * corner.yM;
    let shallowest: Contact | null = null;
    for (const wall of walls) {
      const contact = cornerIn(pose, xM, yM, wall);
      if (contact !== null && contact.depthM < (shallowest?.depthM ?? Infinity)) {
        shallowest = contact;
      }
    }
    found = deeper(found, shallowest);
  }
  for (const { x1M, y1M, x2M, y2M } of walls) {
    found = deeper(found, endIn(pose, body, x1M, y1M));
    found = deeper(found, endIn(pose, body, x2M, y2M));
  }
  return found;
}

/**
 * Push a robot that pokes into walls on the table back out of them, the deepest place first, changing `pose`: its
 * corners beyond a wall, and ends of walls within its outline. As on the border, a robot that is pressed on one
 * corner squares up.
 *
 * Source: as `pushInside`.
 * @param walls those in reach
 * @returns whether anything touched
 */
export function pushOffWalls(pose: Pose, body: Body, walls: readonly Segment[]): boolean {
  let touched = false;
  for (let round = 0; round < ROUNDS; round += 1) {
    const contact = deepest(pose, body, walls);
    if (contact === null) return touched;
    touched = true;
    const { xM, yM, depthM, nx, ny } = contact;
    push(pose, xM, yM, depthM, nx, ny, body);
  }
  return touched;
}
