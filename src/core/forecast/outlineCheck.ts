import type { PlannedStep } from '../course/plan';
import type { Pose } from '../geometry/pose';
import { toTable } from '../geometry/pose';
import { bodyRadius, corners, hitsWall } from '../machine/contact';
import type { Robot } from '../robot/robot';
import { trailPoints } from '../steps/trail';
import { usualTable } from '../table/drawnTable';
import type { Table } from '../table/table';

/** A way is looked at in steps of so much, and turns in steps of so much. */
const EVERY_M = 0.02;
const EVERY_RAD = 0.1;
/** So far over the border nobody minds: it leans against it. */
const LEANS_M = 0.005;

/** Poses along the way of a planned step, the last where it ends; its heading changes evenly. */
function posesAlong(planned: PlannedStep): Pose[] {
  const { from, angleRad, distanceM } = planned;
  const points = [from, ...trailPoints(planned)];
  const lengths = points.slice(1).map((to, i) => {
    const before = points[i] ?? to;
    return Math.hypot(to.xM - before.xM, to.yM - before.yM);
  });
  const wholeM = lengths.reduce((sum, one) => sum + one, 0);
  if (distanceM === 0 && angleRad === 0) return [];
  const count = Math.max(1, Math.ceil(wholeM / EVERY_M), Math.ceil(Math.abs(angleRad) / EVERY_RAD));
  return Array.from({ length: count }, (_, k) => {
    const share = (k + 1) / count;
    let left = share * wholeM;
    const piece = lengths.findIndex((length) => {
      if (left <= length) return true;
      left -= length;
      return false;
    });
    const at = piece < 0 ? lengths.length - 1 : piece;
    const [a, b] = [points[at] ?? from, points[at + 1] ?? from];
    const along = (lengths[at] ?? 0) > 0 ? Math.min(1, left / (lengths[at] ?? 1)) : 1;
    return {
      xM: a.xM + along * (b.xM - a.xM),
      yM: a.yM + along * (b.yM - a.yM),
      headingRad: from.headingRad + share * angleRad,
    };
  });
}

const isOverBorder = (pose: Pose, robot: Robot, { widthM, heightM }: Table): boolean =>
  corners(robot.body).some((corner) => {
    const { xM, yM } = toTable(pose, corner);
    return Math.max(-xM, -yM, xM - widthM, yM - heightM) > LEANS_M;
  });

/**
 * What the outline of the robot meets on the way of a planned step: a wall by its number on the table, from 1, or the
 * border; null: nothing.
 */
export function outlineMeets(
  planned: PlannedStep,
  robot: Robot,
  table: Table,
): number | 'border' | null {
  const reachM = bodyRadius(robot.body);
  const there = new Set(usualTable(table).walls);
  for (const pose of posesAlong(planned)) {
    const wall = table.walls.findIndex(
      (one) => there.has(one) && hitsWall(pose, robot.body, reachM, one),
    );
    if (wall >= 0) return wall + 1;
    if (isOverBorder(pose, robot, table)) return 'border';
  }
  return null;
}
