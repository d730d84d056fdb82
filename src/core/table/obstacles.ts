import type { Segment, Table } from './table';

/**
 * All that a distance beam can meet: the four sides of the border, then the walls on the table.
 *
 * @param sitsM how high the unit sits: it looks over what is lower
 */
export function obstacles(table: Table, sitsM: number | null): Segment[] {
  const { widthM: w, heightM: h } = table;
  return [
    { x1M: 0, y1M: 0, x2M: w, y2M: 0 },
    { x1M: w, y1M: 0, x2M: w, y2M: h },
    { x1M: w, y1M: h, x2M: 0, y2M: h },
    { x1M: 0, y1M: h, x2M: 0, y2M: 0 },
    ...table.walls.filter(({ heightM = Infinity }) => heightM >= (sitsM ?? 0)),
  ];
}
