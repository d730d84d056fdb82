import { WHITE } from '../colour/colour';
import type { Table } from '../table/table';

/** A floor without an edge in reach. */
export const OPEN_FLOOR: Table = {
  widthM: 20,
  heightM: 20,
  walls: [],
  lines: [],
  floorColour: WHITE,
  fields: [],
  obstacles: [],
  homeAreas: [],
  missions: [],
};

/** In its middle. */
export const FLOOR_MIDDLE = { xM: 10, yM: 10, headingRad: 0 };
