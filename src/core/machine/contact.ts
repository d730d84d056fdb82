import type { Pose } from '../geometry/pose';
import { toTable } from '../geometry/pose';
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

/** Radius of the circle about the axle's middle that holds the whole robot. */
export const bodyRadius = ({ frontM, rearM, halfWidthM }: Body): number =>
  Math.hypot(Math.max(frontM, rearM), halfWidthM);

/** At least so far the circle of a robot is from the border and from all walls; below 0 where it may touch one. */
export function clearanceM(pose: Pose, reachM: number, { widthM, heightM, walls }: Table): number {
  const { xM, yM } = pose;
  const toWall = ({ x1M, y1M, x2M, y2M }: Segment) =>
    Math.hypot(
      Math.max(0, Math.min(x1M, x2M) - xM, xM - Math.max(x1M, x2M)),
      Math.max(0, Math.min(y1M, y2M) - yM, yM - Math.max(y1M, y2M)),
    );
  return Math.min(xM, yM, widthM - xM, heightM - yM, ...walls.map(toWall)) - reachM;
}

/**
 * Push a robot that pokes through the border back inside, corner by corner, changing `pose`.
 *
 * Each corner's depth is undone partly by shifting and partly by turning, in the proportion of the
 * inverse mass and inertia of a uniform rectangle; pressed on one corner, the robot squares up.
 * Source: position-based dynamics, Müller et al., J. Vis. Commun. Image R. 18 (2007) 109–118.
 * @returns whether anything touched
 */
export function pushInside(pose: Pose, body: Body, table: Table): boolean {
  let touched = false;
  const length = body.frontM + body.rearM;
  const inertia = (length * length + 4 * body.halfWidthM * body.halfWidthM) / 12;
  for (const corner of corners(body)) {
    const at = toTable(pose, corner);
    const walls = [
      { depth: -at.xM, nx: 1, ny: 0 },
      { depth: at.xM - table.widthM, nx: -1, ny: 0 },
      { depth: -at.yM, nx: 0, ny: 1 },
      { depth: at.yM - table.heightM, nx: 0, ny: -1 },
    ];
    for (const { depth, nx, ny } of walls) {
      if (depth <= 0) continue;
      touched = true;
      const arm = (at.xM - pose.xM) * ny - (at.yM - pose.yM) * nx;
      const push = depth / (1 + (arm * arm) / inertia);
      pose.xM += push * nx;
      pose.yM += push * ny;
      pose.headingRad += (push * arm) / inertia;
    }
  }
  return touched;
}

/**
 * Whether the robot's rectangle overlaps a wall that stands on the table (Liang–Barsky clipping).
 *
 * @param reach radius of the circle that holds the whole robot, from `bodyRadius`
 */
export function hitsWall(pose: Pose, body: Body, reach: number, wall: Segment): boolean {
  const farInX =
    pose.xM - reach > Math.max(wall.x1M, wall.x2M) ||
    pose.xM + reach < Math.min(wall.x1M, wall.x2M);
  const farInY =
    pose.yM - reach > Math.max(wall.y1M, wall.y2M) ||
    pose.yM + reach < Math.min(wall.y1M, wall.y2M);
  if (farInX || farInY) return false;
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
