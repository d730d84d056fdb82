import type { CalibrationValue } from '../../core/calibration/calibration';
import { calibrationOf } from '../../core/calibration/find';
import type { Simulation } from '../../core/forecast/prepare';
import { FORECAST_SEED } from '../../core/forecast/luck';
import { doubtsOf } from '../../core/sources/sources';
import type { TeamDatabase } from '../database';
import { calibrationsOf } from '../stores/calibrations';
import { keptFittedRobot } from './fitted';
import type { SeriesContext } from './seriesContext';

/** What was measured of its robot when a series began. */
export async function heldWhenBegun(
  db: TeamDatabase,
  { robot, calibrationIds }: SeriesContext,
): Promise<CalibrationValue[]> {
  const { calibrations } = await calibrationsOf(db, robot);
  return calibrations.filter(({ id }) => calibrationIds.includes(id)).map(({ value }) => value);
}

/** The simulation of what a series was run on: route, table, robot, and what was measured of it when it began. */
export const expectedOf = (
  { robot, course, version }: SeriesContext,
  values: readonly CalibrationValue[],
): Simulation => ({
  robot: keptFittedRobot(robot.robot, values).robot,
  turns: calibrationOf(values, 'turns'),
  table: course.table,
  route: version.route,
  seed: FORECAST_SEED,
  doubts: doubtsOf(values),
});
