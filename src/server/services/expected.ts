import { calibrationOf } from '../../core/calibration/find';
import { FORECAST_SEED, type Simulation } from '../../core/simulate/run';
import { doubtsOf } from '../../core/sources/sources';
import type { Database } from '../database';
import { calibrationsOf } from '../stores/calibrations';
import { fittedRobot } from './fitted';
import type { SeriesContext } from './seriesContext';

/** The simulation of what a series was run on: route, table, robot, and what was measured of it when it began. */
export async function expectedOf(db: Database, context: SeriesContext): Promise<Simulation> {
  const { robot, course, version, calibrationIds } = context;
  const { calibrations } = await calibrationsOf(db, robot);
  const values = calibrations
    .filter(({ id }) => calibrationIds.includes(id))
    .map(({ value }) => value);
  return {
    robot: fittedRobot(robot.robot, values).robot,
    turns: calibrationOf(values, 'turns'),
    table: course.table,
    route: version.route,
    seed: FORECAST_SEED,
    doubts: doubtsOf(values),
  };
}
