import type { Pose } from '../geometry/pose';
import type { Robot } from '../robot/robot';
import type { Segment, Table } from '../table/table';

type Body = Robot['body'];

/** The four corners of the robot in its own frame (x ahead, y left). */
export const corners = ({ frontM, rearM, halfWidthM }: Body) => [
  { xM: frontM, yM: halfWidthM },
  { xM: frontM, yM: -halfWidthM },
  { xM: -rearM, yM: -halfWidthM },
  { xM: -rearM, yM: halfWidthM },
];

/** A body that is larger all round, or smaller. */
export const grownBody = ({ frontM, rearM, halfWidthM }: Body, byM: number): Body => ({
  frontM: frontM + byM,
  rearM: rearM + byM,
  halfWidthM: halfWidthM + byM,
});

/** Radius of the circle about the axle's middle that holds the whole robot. */
export const bodyRadius = ({ frontM, rearM, halfWidthM }: Body): number =>
  Math.hypot(Math.max(frontM, rearM), halfWidthM);

/** At least so far the circle of a robot is from the border and from all walls; below 0 where it may touch one. */
export function clearanceM(pose: Pose, reachM: number, { widthM, heightM, walls }: Table): number {
  const { xM, yM } = pose;
  let nearestM = Math.min(xM, yM, widthM - xM, heightM - yM);
  for (const { x1M, y1M, x2M, y2M } of walls) {
    const besideM = Math.max(0, Math.min(x1M, x2M) - xM, xM - Math.max(x1M, x2M));
    const aheadM = Math.max(0, Math.min(y1M, y2M) - yM, yM - Math.max(y1M, y2M));
    // No nearer than either of the two: the root is not needed then.
    if (besideM >= nearestM || aheadM >= nearestM) continue;
    nearestM = Math.min(nearestM, Math.hypot(besideM, aheadM));
  }
  return nearestM - reachM;
}

/**
 * Push a robot that pokes through the border back inside, corner by corner, changing `pose`.
 *
 * Each corner's depth is undone partly by shifting and partly by turning, in the proportion of the
 * inverse mass and inertia of a uniform rectangle; pressed on one corner, the robot squares up.
 * Source: position-based dynamics, Müller et al., J. Vis. Commun. Image R. 18 (2007) 109–118.
 * @returns whether anything touched
 */
export function pushInside(pose: Pose, body: Body, { widthM, heightM }: Table): boolean {
  const { frontM, rearM, halfWidthM } = body;
  let touched = false;
  let cos = Math.cos(pose.headingRad);
  let sin = Math.sin(pose.headingRad);
  // Thousands of times in a second of contact: nothing is made anew in it.
  for (let corner = 0; corner < 4; corner += 1) {
    const aheadM = corner < 2 ? frontM : -rearM;
    const leftM = corner === 0 || corner === 3 ? halfWidthM : -halfWidthM;
    const x = pose.xM + cos * aheadM - sin * leftM;
    const y = pose.yM + sin * aheadM + cos * leftM;
    if (x >= 0 && y >= 0 && x <= widthM && y <= heightM) continue;
    touched = true;
    if (x < 0) push(pose, x, y, -x, 1, 0, body);
    if (x > widthM) push(pose, x, y, x - widthM, -1, 0, body);
    if (y < 0) push(pose, x, y, -y, 0, 1, body);
    if (y > heightM) push(pose, x, y, y - heightM, 0, -1, body);
    cos = Math.cos(pose.headingRad);
    sin = Math.sin(pose.headingRad);
  }
  return touched;
}

/** What a rectangle of its size resists to turning, over what it resists to shifting. */
const inertiaOf = ({ frontM, rearM, halfWidthM }: Body): number =>
  ((frontM + rearM) ** 2 + 4 * halfWidthM * halfWidthM) / 12;

/** Undo the depth of a place at x, y along the way out. */
export function push(
  pose: Pose,
  x: number,
  y: number,
  depth: number,
  nx: number,
  ny: number,
  body: Body,
): void {
  const inertia = inertiaOf(body);
  const arm = (x - pose.xM) * ny - (y - pose.yM) * nx;
  const by = depth / (1 + (arm * arm) / inertia);
  pose.xM += by * nx;
  pose.yM += by * ny;
  pose.headingRad += (by * arm) / inertia;
}

/** Whether a wall comes within the square about a circle of that radius. */
export const isInReach = (pose: Pose, reach: number, wall: Segment): boolean =>
  pose.xM - reach <= Math.max(wall.x1M, wall.x2M) &&
  pose.xM + reach >= Math.min(wall.x1M, wall.x2M) &&
  pose.yM - reach <= Math.max(wall.y1M, wall.y2M) &&
  pose.yM + reach >= Math.min(wall.y1M, wall.y2M);

/**
 * Whether the robot's rectangle overlaps a wall that stands on the table (Liang–Barsky clipping).
 *
 * @param reach radius of the circle that holds the whole robot, from `bodyRadius`
 */
export function hitsWall(pose: Pose, body: Body, reach: number, wall: Segment): boolean {
  if (!isInReach(pose, reach, wall)) return false;
  const cos = Math.cos(pose.headingRad);
  const sin = Math.sin(pose.headingRad);
  const local = (xM: number, yM: number) => ({
    x: cos * (xM - pose.xM) + sin * (yM - pose.yM),
    y: -sin * (xM - pose.xM) + cos * (yM - pose.yM),
  });
  const a = local(wall.x1M, wall.y1M);
  const b = local(wall.x2M, wall.y2M);
  let from = 0;
  let to = 1;
  const clip = (p: number, q: number) => {
    if (p === 0) return q >= 0;
    const r = q / p;
    if (p < 0) from = Math.max(from, r);
    else to = Math.min(to, r);
    return from <= to;
  };
  const dx = b.x - a.x;
  const dy = b.y - a.y;
  return (
    clip(-dx, a.x + body.rearM) &&
    clip(dx, body.frontM - a.x) &&
    clip(-dy, a.y + body.halfWidthM) &&
    clip(dy, body.halfWidthM - a.y)
  );
}
