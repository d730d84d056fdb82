import { BLACK } from '../colour/colour';
import { matColourAbout, matColourAt } from '../table/mat';
import type { ColouredField, Table } from '../table/table';

/** What is drawn on a floor. */
export type Floor = Pick<Table, 'lines' | 'fields' | 'floorColour' | 'mat'>;

interface Place {
  xM: number;
  yM: number;
}

/** A share of what is looked at, and its colour. */
export interface ShareOfSpot {
  colour: string;
  share: number;
}

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

/** Whether a point of the floor lies on a line, ends included, or no further from it than said. */
function isOnLine(line: Table['lines'][number], { xM, yM }: Place, withinM = 0): boolean {
  const [ex, ey] = [line.x2M - line.x1M, line.y2M - line.y1M];
  const length2 = ex * ex + ey * ey;
  const along = length2 === 0 ? 0 : ((xM - line.x1M) * ex + (yM - line.y1M) * ey) / length2;
  const share = Math.max(0, Math.min(1, along));
  const offM = Math.hypot(xM - line.x1M - share * ex, yM - line.y1M - share * ey);
  return offM <= line.widthM / 2 + withinM;
}

const isBetween = (a: number, b: number, value: number, withinM: number): boolean =>
  value >= Math.min(a, b) - withinM && value <= Math.max(a, b) + withinM;

const isInField = (field: ColouredField, { xM, yM }: Place, withinM = 0): boolean =>
  isBetween(field.x1M, field.x2M, xM, withinM) && isBetween(field.y1M, field.y2M, yM, withinM);

/** What the floor itself shows, under all that lies on it. */
const bareAt = ({ mat, floorColour }: Floor, { xM, yM }: Place): string =>
  (mat == null ? null : matColourAt(mat, xM, yM)) ?? floorColour;

/**
 * The colours that lie in a round spot on the floor, each with its share: lines lie on fields, fields on each other, and
 * all of them on the mat.
 */
export function underSpot(floor: Floor, at: Place, diameterM: number): ShareOfSpot[] {
  const radius = diameterM / 2;
  const lines = floor.lines.filter((line) => isOnLine(line, at, radius));
  const fields = floor.fields.filter((field) => isInField(field, at, radius));
  if (lines.length + fields.length === 0) {
    const { mat, floorColour } = floor;
    const colour = mat == null ? floorColour : matColourAbout(mat, at, radius);
    if (colour !== null) return [{ colour, share: 1 }];
  }
  const counts = new Map<string, number>();
  for (const { x, y } of SPOT) {
    const point = { xM: at.xM + radius * x, yM: at.yM + radius * y };
    const line = lines.findLast((one) => isOnLine(one, point));
    const colour =
      line === undefined
        ? (fields.findLast((field) => isInField(field, point))?.colour ?? bareAt(floor, point))
        : (line.colour ?? BLACK);
    counts.set(colour, (counts.get(colour) ?? 0) + 1);
  }
  return [...counts].map(([colour, count]) => ({ colour, share: count / POINTS }));
}
