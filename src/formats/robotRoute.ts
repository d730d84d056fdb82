import type { Table } from '../core/table/table';
import type { SavedRouteVersion } from './records';

/** A route of a robot as it was saved last, with the table that it runs on. */
export interface RobotRoute {
  routeId: string;
  name: string;
  version: SavedRouteVersion;
  table: Table;
}
