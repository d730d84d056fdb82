import type { Segment, Table } from '../table/table';
import { fromTable, toTable, type Pose } from '../geometry/pose';

/** What stands and lies about a robot: in the frame of a place, x ahead of it and y to its left. */
export interface Surroundings {
  walls: Segment[];
  lines: Table['lines'];
}

export const NOTHING_ABOUT: Surroundings = { walls: [], lines: [] };

function moved<S extends Segment>(segment: S, frame: Pose): S {
  const one = toTable(frame, { xM: segment.x1M, yM: segment.y1M });
  const other = toTable(frame, { xM: segment.x2M, yM: segment.y2M });
  return { ...segment, x1M: one.xM, y1M: one.yM, x2M: other.xM, y2M: other.yM };
}

/** The pose at which the floor's own frame begins, seen from a place on it. */
function floorFrom({ xM, yM, headingRad }: Pose): Pose {
  const back = fromTable({ xM, yM, headingRad }, { xM: 0, yM: 0 });
  return { ...back, headingRad: -headingRad };
}

/** What was told from a place, told on the floor on which that place is. */
export const onFloor = ({ walls, lines }: Surroundings, place: Pose): Surroundings => ({
  walls: walls.map((wall) => moved(wall, place)),
  lines: lines.map((line) => moved(line, place)),
});

/** What was told on the floor, told from a place on it. */
export const seenFrom = (about: Surroundings, place: Pose): Surroundings =>
  onFloor(about, floorFrom(place));
