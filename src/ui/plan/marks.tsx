import type { Pose } from '../../core/geometry/pose';
import type { Table } from '../../core/table/table';
import type { Ellipse } from '../../core/runs/regions';
import { boxPath, flip, mm, pathOf } from './Plan';
import { toTable } from '../../core/geometry/pose';
import { degreesFromRadians } from '../../core/geometry/angle';
import styles from './marks.module.css';

/** An ellipse of the core, about a place on the table. Measured is marigold, predicted spruce. */
export function EllipseMark({
  table,
  centre,
  ellipse,
  kind,
  label,
}: {
  table: Table;
  centre: { xM: number; yM: number };
  ellipse: Ellipse;
  kind: 'measured' | 'predicted';
  label: string;
}) {
  const x = mm(centre.xM);
  const y = flip(table, centre.yM);
  return (
    <ellipse
      role="img"
      aria-label={label}
      className={styles[`${kind}Ellipse`]}
      cx={x}
      cy={y}
      rx={mm(ellipse.semiMajorM)}
      ry={mm(ellipse.semiMinorM)}
      transform={`rotate(${-degreesFromRadians(ellipse.angleRad)} ${x} ${y})`}
    />
  );
}

const diamond = (x: number, y: number, size: number): string =>
  `M${x} ${y - size}l${size} ${size}l${-size} ${size}l${-size} ${-size}Z`;

const rounded = (value: number): number => Math.round(value * 10) / 10;

/** Many measured ends as one mark: so many are no longer told apart by name. */
export function EndCloud({
  table,
  ends,
  size,
  failed,
  label,
}: {
  table: Table;
  ends: readonly { xM: number; yM: number }[];
  size: number;
  failed: boolean;
  label: string;
}) {
  return (
    <path
      role="img"
      aria-label={label}
      className={failed ? styles.failed : styles.measured}
      d={ends
        .map(({ xM, yM }) => diamond(rounded(mm(xM)), rounded(flip(table, yM)), rounded(size)))
        .join('')}
    />
  );
}

/** A diamond for a measured end; open when the run failed. */
export function EndMark({
  table,
  at,
  size,
  worked,
  label,
}: {
  table: Table;
  at: { xM: number; yM: number };
  size: number;
  worked: boolean | null;
  label: string;
}) {
  const x = mm(at.xM);
  const y = flip(table, at.yM);
  return (
    <path
      role="img"
      aria-label={label}
      className={worked === false ? styles.failed : styles.measured}
      d={diamond(x, y, size)}
    >
      <title>{label}</title>
    </path>
  );
}

/** The robot's outline at a pose, with a tick ahead. */
export function RobotOutline({
  table,
  pose,
  body,
}: {
  table: Table;
  pose: Pose;
  body: { frontM: number; rearM: number; halfWidthM: number };
}) {
  const nose = toTable(pose, { xM: body.frontM, yM: 0 });
  return (
    <g className={styles.robot} aria-hidden="true">
      <path d={boxPath(table, pose, body.frontM, body.rearM, body.halfWidthM)} />
      <path d={pathOf(table, [pose, nose])} />
      <circle cx={mm(pose.xM)} cy={flip(table, pose.yM)} r={6} />
    </g>
  );
}
