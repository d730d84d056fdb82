import {
  useRef,
  type KeyboardEvent,
  type PointerEvent,
  type ReactNode,
  type RefObject,
} from 'react';
import { radiansFromDegrees } from '../../core/geometry/angle';
import type { Pose } from '../../core/geometry/pose';
import type { Table } from '../../core/table/table';
import styles from './Plan.module.css';

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

interface Props {
  /** What it is, for screen readers. */
  name: string;
  table: Table;
  pose: Pose;
  svg: RefObject<SVGSVGElement | null>;
  children: ReactNode;
  onMove(pose: Pose): void;
}

/** A pose on the plan that can be dragged, or moved and turned by keys. */
export function PoseHandle({ name, table, pose, svg, children, onMove }: Props) {
  const grabbed = useRef<{ xM: number; yM: number } | null>(null);
  const place = (next: Pose) =>
    onMove({
      xM: toHalfMillimetre(clamp(next.xM, table.widthM)),
      yM: toHalfMillimetre(clamp(next.yM, table.heightM)),
      headingRad: next.headingRad,
    });
  const onTable = (event: PointerEvent) => {
    const matrix = svg.current?.getScreenCTM()?.inverse();
    const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
    return { xM: at.x / 1000, yM: table.heightM - at.y / 1000 };
  };
  return (
    <g
      className={styles.handle}
      role="button"
      tabIndex={0}
      aria-label={`${name}. Drag it, or use the arrow keys to move it and comma and full stop to turn it.`}
      onPointerDown={(event) => {
        const at = onTable(event);
        grabbed.current = { xM: at.xM - pose.xM, yM: at.yM - pose.yM };
        event.currentTarget.setPointerCapture(event.pointerId);
      }}
      onPointerMove={(event) => {
        if (grabbed.current === null) return;
        const at = onTable(event);
        place({ ...pose, xM: at.xM - grabbed.current.xM, yM: at.yM - grabbed.current.yM });
      }}
      onPointerUp={() => {
        grabbed.current = null;
      }}
      onKeyDown={(event) => {
        const moved = movedByKey(pose, event);
        if (moved === null) return;
        event.preventDefault();
        place(moved);
      }}
    >
      {children}
    </g>
  );
}
