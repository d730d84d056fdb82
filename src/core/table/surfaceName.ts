import { sidesOf } from './laidOut';
import type { Segment, Table } from './table';

const isAt = (a: Segment) => (b: Segment) =>
  a.x1M === b.x1M && a.y1M === b.y1M && a.x2M === b.x2M && a.y2M === b.y2M;

/** How a screen calls a wall of a table, or the obstacle of which it is a side. */
export function surfaceName({ walls, obstacles }: Table, met: Segment): string {
  const obstacle = obstacles.findIndex((one) => sidesOf(one).some(isAt(met)));
  return obstacle < 0
    ? `wall ${walls.findIndex(isAt(met)) + 1} of the table`
    : `obstacle ${obstacle + 1} of the table`;
}
