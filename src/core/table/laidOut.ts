import { straightPieces } from './bentLine';
import type { Obstacle, Segment, Table } from './table';

/** The four sides of something that stands on an area. */
export function sidesOf({ x1M, y1M, x2M, y2M }: Segment): Segment[] {
  const corners = [
    [x1M, y1M],
    [x2M, y1M],
    [x2M, y2M],
    [x1M, y2M],
  ] as const;
  return corners.map(([xM, yM], i) => {
    const [toXM, toYM] = corners[(i + 1) % corners.length] ?? [xM, yM];
    return { x1M: xM, y1M: yM, x2M: toXM, y2M: toYM };
  });
}

const asWalls = (obstacle: Obstacle): Table['walls'] =>
  sidesOf(obstacle).map((side) => ({ ...side, heightM: obstacle.heightM }));

const made = new WeakMap<Table, Table>();

/** A table as robots and their sensors meet it: obstacles by their sides, behind the walls, and bent lines by straight pieces. */
export function laidOut(table: Table): Table {
  if (table.obstacles.length === 0 && !table.lines.some(({ bendRad }) => bendRad)) {
    return table;
  }
  const known = made.get(table);
  if (known !== undefined) return known;
  const laid: Table = {
    ...table,
    walls: [...table.walls, ...table.obstacles.flatMap(asWalls)],
    lines: table.lines.flatMap(straightPieces),
    obstacles: [],
  };
  made.set(table, laid);
  return laid;
}
