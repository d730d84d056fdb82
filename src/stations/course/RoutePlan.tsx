import { useRef, type ReactNode } from 'react';
import { toTable, type Pose } from '../../core/geometry/pose';
import type { PlannedBranch } from '../../core/course/branches';
import type { PlannedStep } from '../../core/course/plan';
import { trailPoints } from '../../core/steps/trail';
import type { Route } from '../../core/course/route';
import type { Table } from '../../core/table/table';
import { asMounted, outlineOf } from '../../core/robot/mounting';
import type { Robot } from '../../core/robot/robot';
import type { Forecast } from '../../core/forecast/summary';
import { EllipseMark, RobotOutline } from '../../ui/plan/marks';
import { flip, mm, pathOf, Plan } from '../../ui/plan/Plan';
import { PoseHandle } from '../../ui/plan/PoseHandle';
import styles from './CourseStation.module.css';
import { PlannedPath } from './PlannedPath';

interface Props {
  table: Table;
  robot: Robot;
  route: Route;
  plan: readonly PlannedStep[];
  branches: readonly PlannedBranch[];
  selected: string | null;
  forecast: Forecast | null;
  onStart(pose: Pose): void;
  /** What is drawn over it besides. */
  children?: ReactNode;
}

/** The table with the planned route, the start that can be moved, and what the simulation predicts. */
export function RoutePlan({
  table,
  robot,
  route,
  plan,
  branches,
  selected,
  forecast,
  onStart,
  children,
}: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const body = outlineOf(asMounted(robot, route));
  const end = plan.at(-1)?.to ?? route.start;
  const all = [...plan, ...branches.flatMap(({ steps }) => steps)];
  const active = all.filter(
    ({ step, within }) => selected !== null && (step.id === selected || within.includes(selected)),
  );
  // Of what is made several times the first counts; of steps within another the last.
  const stands = active[0]?.step.id === selected ? active[0] : active.at(-1);
  return (
    <Plan table={table} label="Plan of the table with the route" svgRef={svg}>
      {forecast?.missions.map(
        ({ mission, scatter }) =>
          scatter?.ellipse95 && (
            <EllipseMark
              key={mission.id}
              table={table}
              centre={{
                xM: mission.pose.xM + (scatter.biasXM ?? 0),
                yM: mission.pose.yM + (scatter.biasYM ?? 0),
              }}
              ellipse={scatter.ellipse95}
              kind="predicted"
              label={`Predicted: 95 of 100 runs at the ${mission.name}`}
            />
          ),
      )}
      <PlannedPath {...{ table, route, plan, branches }} />
      {active.map((planned, i) => (
        <path
          key={i}
          className={styles.active}
          d={pathOf(table, [planned.from, ...trailPoints(planned)])}
        />
      ))}
      <RobotOutline table={table} pose={stands?.to ?? end} body={body} />
      {children}
      <PoseHandle
        name="Start of the robot"
        table={table}
        pose={route.start}
        svg={svg}
        onMove={onStart}
      >
        <RobotOutline table={table} pose={route.start} body={body} />
        <text
          className={styles.startName}
          x={mm(toTable(route.start, { xM: -body.rearM, yM: 0 }).xM)}
          y={flip(table, route.start.yM) + 4 + mm(body.halfWidthM) + 30}
        >
          start
        </text>
      </PoseHandle>
    </Plan>
  );
}
