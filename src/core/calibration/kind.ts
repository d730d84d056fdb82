import type { Robot } from '../robot/robot';
import type { CalibrationValue } from './calibration';
import type { DeviceKindName } from '../devices/registry';
import type { RobotPart } from './parts';

/** What is said of a unit other than the first of its kind names it. */
export interface OfUnit {
  unitId?: string | undefined;
}

/** All that is known of a kind of calibration, but for its schema, which stands beside it. */
export interface CalibrationKindOf<V extends { kind: string }> {
  kind: V['kind'];
  name: string;
  /** The kind of unit to which it belongs and with which it goes; null: it is the whole robot's. */
  unit: DeviceKindName | null;
  /** The procedure of the Bench that gives it. */
  measuredBy: { procedure: string; words: string };
  /** What was changed since, it no longer holds. A swapped port changes nothing. */
  restsOn: readonly RobotPart[];
  /** No figure of a forecast hangs on it: it is typed into programs and steps, and the Bench begins with it. */
  isOnlyTyped?: true;
  /** A route is planned with it, step by step; every other changes the robot that is computed with. */
  isInRoutes?: true;
  /** What every heading in a program is to be told times; left out: as it is. */
  headingScale?(value: V): number;
  /** In a line: what is computed with. */
  describe(value: V): string;
  /** The robot as it was measured, by this and all that holds: in place of what a ruler or nobody said. */
  fit(robot: Robot, value: V & OfUnit, all: readonly CalibrationValue[]): Robot;
}
