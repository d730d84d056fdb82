import { calibrationOf } from '../../core/calibration/find';
import { goesByLight } from '../../core/light/goesByLight';
import { venueWarning } from '../../core/light/venueWarning';
import type { TeamDatabase } from '../database';
import { calibrationsOf, holdingOf } from '../stores/calibrations';
import { findRobot } from '../stores/robots';
import type { SeriesContext } from './seriesContext';

/** What is to be known before the next run of a series, by what holds now; null: nothing. */
export async function warningBeforeRuns(
  db: TeamDatabase,
  { robot, version: { route }, series }: SeriesContext,
): Promise<string | null> {
  if (!goesByLight(route)) return null;
  // As it is now: what was exchanged since the series began counts.
  const record = (await findRobot(db, robot.id)) ?? robot;
  const held = holdingOf(await calibrationsOf(db, record), record)['light-threshold'];
  const threshold = held === undefined ? null : calibrationOf([held.value], 'light-threshold');
  return venueWarning(route, threshold, series.tableLabel);
}
