import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { radiansFromDegrees } from '../../core/geometry/angle';
import { toTable, type Pose } from '../../core/geometry/pose';
import type { PlannedStep } from '../../core/course/plan';
import type { Route } from '../../core/course/route';
import type { Table } from '../../core/course/table';
import type { Robot } from '../../core/robot';
import type { Forecast } from '../../core/simulate/summary';
import { EllipseMark, RobotOutline } from '../../ui/plan/marks';
import { flip, mm, pathOf, Plan } from '../../ui/plan/Plan';
import styles from './CourseStation.module.css';

interface Props {
  table: Table;
  robot: Robot;
  route: Route;
  plan: readonly PlannedStep[];
  selected: number | null;
  forecast: Forecast | null;
  onStart(pose: Pose): void;
}

const KEY_STEP_M = 0.005;
const KEY_TURN_RAD = radiansFromDegrees(1);

const clamp = (value: number, max: number) => Math.min(max, Math.max(0, value));
const toHalfMillimetre = (metres: number) => Math.round(metres * 2000) / 2000;

/** The pose after a key: arrows move by 5 mm (with Shift 1 mm), comma and full stop turn by 1°. */
function movedByKey(pose: Pose, { key, shiftKey }: KeyboardEvent): Pose | null {
  const step = shiftKey ? KEY_STEP_M / 5 : KEY_STEP_M;
  switch (key) {
    case 'ArrowLeft':
      return { ...pose, xM: pose.xM - step };
    case 'ArrowRight':
      return { ...pose, xM: pose.xM + step };
    case 'ArrowUp':
      return { ...pose, yM: pose.yM + step };
    case 'ArrowDown':
      return { ...pose, yM: pose.yM - step };
    case ',':
      return { ...pose, headingRad: pose.headingRad + KEY_TURN_RAD };
    case '.':
      return { ...pose, headingRad: pose.headingRad - KEY_TURN_RAD };
    default:
      return null;
  }
}

/** The table with the planned route, the start that can be moved, and what the simulation predicts. */
export function RoutePlan({ table, robot, route, plan, selected, forecast, onStart }: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const grabbed = useRef<{ xM: number; yM: number } | null>(null);

  const place = (pose: Pose) =>
    onStart({
      xM: toHalfMillimetre(clamp(pose.xM, table.widthM)),
      yM: toHalfMillimetre(clamp(pose.yM, table.heightM)),
      headingRad: pose.headingRad,
    });
  const onTable = (event: PointerEvent) => {
    const matrix = svg.current?.getScreenCTM()?.inverse();
    const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
    return { xM: at.x / 1000, yM: table.heightM - at.y / 1000 };
  };
  const drag = (event: PointerEvent) => {
    if (grabbed.current === null) return;
    const at = onTable(event);
    place({ ...route.start, xM: at.xM - grabbed.current.xM, yM: at.yM - grabbed.current.yM });
  };
  const end = plan.at(-1)?.to ?? route.start;
  const active = selected === null ? undefined : plan[selected];
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
      <path
        className={styles.planned}
        d={pathOf(table, [route.start, ...plan.map(({ to }) => to)])}
      />
      {active && <path className={styles.active} d={pathOf(table, [active.from, active.to])} />}
      <RobotOutline table={table} pose={active?.to ?? end} body={robot.body} />
      {plan.map(({ step, to, from }, index) =>
        step.kind === 'turn' || step.kind === 'mark' ? null : (
          <text
            key={step.id ?? index}
            className={styles.stepNumber}
            x={mm((from.xM + to.xM) / 2)}
            y={flip(table, (from.yM + to.yM) / 2) - 12}
          >
            {index + 1}
          </text>
        ),
      )}
      <g
        className={styles.start}
        role="button"
        tabIndex={0}
        aria-label="Start of the robot. Drag it, or use the arrow keys to move it and comma and full stop to turn it."
        onPointerDown={(event) => {
          const at = onTable(event);
          grabbed.current = { xM: at.xM - route.start.xM, yM: at.yM - route.start.yM };
          event.currentTarget.setPointerCapture(event.pointerId);
        }}
        onPointerMove={drag}
        onPointerUp={() => {
          grabbed.current = null;
        }}
        onKeyDown={(event) => {
          const moved = movedByKey(route.start, event);
          if (moved === null) return;
          event.preventDefault();
          place(moved);
        }}
      >
        <RobotOutline table={table} pose={route.start} body={robot.body} />
        <text
          className={styles.startName}
          x={mm(toTable(route.start, { xM: -robot.body.rearM, yM: 0 }).xM)}
          y={flip(table, route.start.yM) + 4 + mm(robot.body.halfWidthM) + 30}
        >
          start
        </text>
      </g>
    </Plan>
  );
}
