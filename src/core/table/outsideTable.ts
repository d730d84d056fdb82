import type { Segment, Table } from './table';

/** What a table names and no longer holds: missions by name, walls, lines and coloured fields by number. */
export function outsideTable({
  widthM,
  heightM,
  missions,
  walls,
  lines,
  fields,
  obstacles,
  homeAreas,
}: Table): string[] {
  const isOut = (xM: number, yM: number) => xM < 0 || yM < 0 || xM > widthM || yM > heightM;
  const crosses = ({ x1M, y1M, x2M, y2M }: Segment) => isOut(x1M, y1M) || isOut(x2M, y2M);
  const named = (what: string, segments: readonly Segment[]) =>
    segments.flatMap((segment, i) => (crosses(segment) ? [`${what} ${i + 1}`] : []));
  return [
    ...missions.filter(({ pose }) => isOut(pose.xM, pose.yM)).map(({ name }) => `the ${name}`),
    ...named('wall', walls),
    ...named('line', lines),
    ...named('coloured field', fields),
    ...named('obstacle', obstacles),
    ...named('home area', homeAreas),
  ];
}
