import type { Table } from '../../course/table';
import { toTable } from '../../geometry/pose';
import type { UnitOf } from '../../units/unit';
import { oncePerPeriod, type UnitReader, type UnitWorld } from './reader';

/** Points of the spot at which the floor is looked at. */
const POINTS = 91;

/**
 * Points spread evenly over a disc of radius one: Vogel's spiral, each turned on by the golden angle.
 *
 * Vogel 1979, "A better way to construct the sunflower head", Mathematical Biosciences 44.
 */
const SPOT = Array.from({ length: POINTS }, (_, i) => {
  const radius = Math.sqrt((i + 0.5) / POINTS);
  const angle = i * Math.PI * (3 - Math.sqrt(5));
  return { x: radius * Math.cos(angle), y: radius * Math.sin(angle) };
});

/** Whether a point of the floor lies on a line, ends included. */
function isOn(line: Table['lines'][number], xM: number, yM: number): boolean {
  const [ex, ey] = [line.x2M - line.x1M, line.y2M - line.y1M];
  const length2 = ex * ex + ey * ey;
  const along = length2 === 0 ? 0 : ((xM - line.x1M) * ex + (yM - line.y1M) * ey) / length2;
  const share = Math.max(0, Math.min(1, along));
  return Math.hypot(xM - line.x1M - share * ex, yM - line.y1M - share * ey) <= line.widthM / 2;
}

/** The share of a round spot on the floor that lines cover. */
export function coveredShare(
  lines: Table['lines'],
  at: { xM: number; yM: number },
  diameterM: number,
): number {
  const radius = diameterM / 2;
  const near = lines.filter((line) =>
    isOn({ ...line, widthM: line.widthM + diameterM }, at.xM, at.yM),
  );
  if (near.length === 0) return 0;
  const on = SPOT.filter(({ x, y }) =>
    near.some((line) => isOn(line, at.xM + radius * x, at.yM + radius * y)),
  );
  return on.length / POINTS;
}

/** A light sensor: the mean of floor and lines over its spot, with its noise; of 1. */
export function lightReader(
  { place, behaviour }: UnitOf<'light sensor'>,
  { lines, random }: UnitWorld,
): UnitReader {
  const { spotDiameterM, floorShare, lineShare, noiseShare, periodS } = behaviour;
  return oncePerPeriod(periodS, (pose) => {
    const at = toTable(pose, { xM: place.aheadM, yM: place.leftM });
    const covered = coveredShare(lines, at, spotDiameterM);
    const read = floorShare + (lineShare - floorShare) * covered + noiseShare * random.normal();
    return Math.min(1, Math.max(0, read));
  });
}
