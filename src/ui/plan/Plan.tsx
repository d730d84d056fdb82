import {
  useId,
  useImperativeHandle,
  useRef,
  type CSSProperties,
  type ReactNode,
  type Ref,
} from 'react';
import { WHITE } from '../../core/colour/colour';
import { colourName } from '../../core/colour/name';
import { toTable, type Pose } from '../../core/geometry/pose';
import { isDrawn } from '../../core/table/drawnTable';
import { isMoved } from '../../core/table/moved';
import { linePoints } from '../../core/table/bentLine';
import type { Mission, Segment, Table } from '../../core/table/table';
import { targetsOf } from '../../core/table/targets';
import { MatUnder } from './MatUnder';
import styles from './Plan.module.css';
import { useLetters } from './useLetters';

/** Millimetres of the table: the plan's own coordinates, y downwards as SVG has it. */
export const mm = (metres: number): number => metres * 1000;
export const flip = (table: Pick<Table, 'heightM'>, yM: number): number => mm(table.heightM - yM);

/** Points of the table as an SVG path. */
export const pathOf = (table: Table, points: readonly { xM: number; yM: number }[]): string =>
  points
    .map((p, i) => `${i === 0 ? 'M' : 'L'}${mm(p.xM).toFixed(1)} ${flip(table, p.yM).toFixed(1)}`)
    .join('');

/** A corner-to-corner box around a pose, turned with it. */
export function boxPath(
  table: Table,
  pose: Pose,
  front: number,
  rear: number,
  half: number,
): string {
  const corners = [
    { xM: front, yM: half },
    { xM: front, yM: -half },
    { xM: -rear, yM: -half },
    { xM: -rear, yM: half },
  ].map((corner) => toTable(pose, corner));
  return `${pathOf(table, corners)}Z`;
}

/** A name near the edge of the table begins or ends there. */
const anchorAt = (share: number): 'start' | 'middle' | 'end' => {
  if (share < 0.12) return 'start';
  return share > 0.88 ? 'end' : 'middle';
};

/** A mission: the box that its pose must lie in, and the direction in which the robot should look. */
export function MissionMark({ table, mission }: { table: Table; mission: Mission }) {
  const { pose, window, name } = mission;
  const tip = toTable(pose, { xM: 0.055, yM: 0 });
  // Names stand over the mark, or under it where the table ends.
  const above = pose.yM < table.heightM - 0.12;
  return (
    <g role="img" aria-label={`Mission ${name}`}>
      <path
        className={styles.window}
        d={boxPath(table, pose, window.alongM, window.alongM, window.acrossM)}
      />
      <path className={styles.facing} d={pathOf(table, [pose, tip])} />
      <circle className={styles.spot} cx={mm(pose.xM)} cy={flip(table, pose.yM)} r={7} />
      <text
        className={styles.name}
        x={mm(pose.xM)}
        y={flip(table, pose.yM) + (above ? -42 : 62)}
        textAnchor={anchorAt(pose.xM / table.widthM)}
      >
        {name}
      </text>
    </g>
  );
}

/** Whether it is not there in every run from the first to the last. */
const isAtTimes = (one: Table['obstacles'][number] | Table['walls'][number]): boolean =>
  isDrawn(one) || isMoved(one);

/** An area by two of its corners. */
const rectOf = (table: Table, { x1M, y1M, x2M, y2M }: Segment) => ({
  x: mm(Math.min(x1M, x2M)),
  y: flip(table, Math.max(y1M, y2M)),
  width: mm(Math.abs(x2M - x1M)),
  height: mm(Math.abs(y2M - y1M)),
});

/** Missions, and those of their parts that are worked elsewhere. */
const places = ({ missions }: Table): { key: string; mission: Mission }[] =>
  missions.flatMap((mission) => [
    { key: mission.id, mission },
    ...targetsOf(mission)
      .filter(({ pose }) => pose !== mission.pose)
      .map((target) => ({ key: target.key, mission: target })),
  ]);

/** The floor's own colour where it is not white, and the fields on it: pale, so that all drawn over them is read. */
const FloorColours = ({ table }: { table: Table }) => (
  <>
    {table.floorColour !== WHITE && (
      <rect
        className={styles.field}
        fill={table.floorColour}
        width={mm(table.widthM)}
        height={mm(table.heightM)}
      />
    )}
    {table.mat != null && <MatUnder mat={table.mat} place={rectOf(table, table.mat)} />}
    {table.fields.map(({ colour, ...field }, index) => (
      <rect
        key={index}
        role="img"
        aria-label={`Field ${index + 1}, ${colourName(colour)}`}
        className={styles.field}
        fill={colour}
        {...rectOf(table, field)}
      />
    ))}
  </>
);

interface Props {
  table: Table;
  label: string;
  /** Drawn over the table, under the missions' names. */
  children?: ReactNode;
  /** The part of the table to show, in millimetres (x, y from the top, width, height). */
  view?: [number, number, number, number];
  svgRef?: Ref<SVGSVGElement>;
  missions?: boolean;
  /** Distance of the graph lines, in millimetres. */
  gridMm?: number;
}

/** The table from above: border, graph lines every 10 cm, coloured fields, walls, guide lines, missions. */
export function Plan({
  table,
  label,
  children,
  view,
  svgRef,
  missions = true,
  gridMm = 100,
}: Props) {
  const grid = useId();
  const width = mm(table.widthM);
  const height = mm(table.heightM);
  const box = view ?? [-20, -20, width + 40, height + 40];
  const svg = useRef<SVGSVGElement>(null);
  useImperativeHandle(svgRef, () => svg.current as SVGSVGElement);
  const lettersMm = useLetters(svg, box[2]);
  const letters =
    lettersMm === null ? {} : ({ '--plan-letters': `${lettersMm}px` } as CSSProperties);
  return (
    <svg
      ref={svg}
      style={letters}
      className={styles.plan}
      viewBox={box.join(' ')}
      role="group"
      aria-label={label}
    >
      <defs>
        <pattern
          id={grid}
          width={gridMm}
          height={gridMm}
          patternUnits="userSpaceOnUse"
          y={height % gridMm}
        >
          <path className={styles.grid} d={`M0 0H${gridMm}M0 0V${gridMm}`} />
        </pattern>
      </defs>
      <rect className={styles.sheet} width={width} height={height} />
      <FloorColours table={table} />
      <rect fill={`url(#${grid})`} width={width} height={height} aria-hidden="true" />
      {table.lines.map((line, index) => (
        <polyline
          key={index}
          className={line.colour === undefined ? styles.guide : styles.colouredGuide}
          stroke={line.colour}
          strokeWidth={mm(line.widthM)}
          points={linePoints(line)
            .map(({ xM, yM }) => `${mm(xM)},${flip(table, yM)}`)
            .join(' ')}
        />
      ))}
      {table.homeAreas.map((area, index) => (
        <rect key={index} className={styles.home} {...rectOf(table, area)} />
      ))}
      {table.obstacles.map((one, index) => (
        <rect
          key={index}
          className={isAtTimes(one) ? styles.obstacleAtTimes : styles.obstacle}
          {...rectOf(table, one)}
        />
      ))}
      {table.walls.map((wall, index) => (
        <line
          key={index}
          className={isAtTimes(wall) ? styles.wallAtTimes : styles.wall}
          x1={mm(wall.x1M)}
          y1={flip(table, wall.y1M)}
          x2={mm(wall.x2M)}
          y2={flip(table, wall.y2M)}
        />
      ))}
      <rect className={styles.border} width={width} height={height} />
      {missions &&
        places(table).map(({ key, mission }) => (
          <MissionMark key={key} table={table} mission={mission} />
        ))}
      {children}
    </svg>
  );
}
