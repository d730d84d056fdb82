import type { PlannedStep } from '../course/plan';
import { posesAlong } from '../course/posesAlong';
import type { Pose } from '../geometry/pose';
import { toTable } from '../geometry/pose';
import { bodyRadius, corners, grownBody, hitsWall } from '../machine/contact';
import { outlineOf, passesBeneath } from '../robot/mounting';
import type { Robot } from '../robot/robot';
import { usualTable } from '../table/drawnTable';
import { surfaceName } from '../table/surfaceName';
import type { Table } from '../table/table';

/** So far over the border nobody minds: it leans against it. */
const LEANS_M = 0.005;
/** And of a wall that it stands against nobody says that it meets it. */
const TOUCHES_M = 0.001;

const isOverBorder = (pose: Pose, robot: Robot, { widthM, heightM }: Table): boolean =>
  corners(outlineOf(robot)).some((corner) => {
    const { xM, yM } = toTable(pose, corner);
    return Math.max(-xM, -yM, xM - widthM, yM - heightM) > LEANS_M;
  });

/** What the outline of the robot meets on the way of a planned step, in words; null: nothing. */
export function outlineMeets(planned: PlannedStep, robot: Robot, table: Table): string | null {
  const reachM = bodyRadius(outlineOf(robot));
  const { walls } = usualTable(table, planned.worked);
  const outline = grownBody(outlineOf(robot), -TOUCHES_M);
  const bare = grownBody(robot.body, -TOUCHES_M);
  for (const pose of posesAlong(planned)) {
    const met = walls.find((one) =>
      hitsWall(pose, passesBeneath(robot, one) ? bare : outline, reachM, one),
    );
    if (met !== undefined) return surfaceName(table, met);
    if (isOverBorder(pose, robot, table)) return 'the border';
  }
  return null;
}

/** Within so much of its edge nobody minds. */
const OVER_HOME_M = 0.001;

/** Whether the outline of a robot lies within one of the table's home areas. */
export const fitsHome = (pose: Pose, robot: Robot, { homeAreas }: Table): boolean => {
  const outline = corners(outlineOf(robot)).map((corner) => toTable(pose, corner));
  return homeAreas.some(({ x1M, y1M, x2M, y2M }) =>
    outline.every(
      ({ xM, yM }) =>
        xM >= Math.min(x1M, x2M) - OVER_HOME_M &&
        xM <= Math.max(x1M, x2M) + OVER_HOME_M &&
        yM >= Math.min(y1M, y2M) - OVER_HOME_M &&
        yM <= Math.max(y1M, y2M) + OVER_HOME_M,
    ),
  );
};
