import { running } from '../lib/statements';

/** A list of a team, the newest first, in place of that of all teams. */
const key = (name: string, columns: string, before: string | null = null): string =>
  [
    `, ADD KEY IF NOT EXISTS ${name} (${columns})`,
    before === null ? '' : `, DROP KEY IF EXISTS ${before}`,
  ].join('');

/** All that is a team's and said so only by way of what it belongs to. */
const TABLES = {
  route: key('team_routes', 'team_id'),
  route_version: key('team_newest', 'team_id, saved_at', 'newest'),
  run_plan: '',
  series: [
    key('team_entries', 'team_id, archived_at, entry', 'by_entry'),
    key('team_tried', 'team_id, archived_at, trying, started_at', 'tried'),
    key('team_versions', 'team_id, archived_at, route_version_id, started_at', 'of_versions'),
  ].join(''),
  run: [
    key('team_time', 'team_id, happened_at', 'by_time'),
    key('team_placer', 'team_id, placed_by, happened_at', 'by_placer'),
    key('team_battery', 'team_id, battery, happened_at', 'by_battery'),
    key('team_cause', 'team_id, cause, happened_at', 'by_cause'),
  ].join(''),
  stand_in: '',
  robot_change: key('team_newest', 'team_id, changed_at'),
  bench_log: '',
  still_check: key('team_newest', 'team_id, taken_at', 'newest'),
  bench_trials: '',
  calibration: '',
  calibration_change: key('team_entries', 'team_id, checked, entry'),
};

/** Until now there was one team to a database. */
export const up = running(
  Object.entries(TABLES).flatMap(([table, keys]) => [
    `ALTER TABLE ${table} ADD COLUMN IF NOT EXISTS team_id CHAR(26) NOT NULL DEFAULT ''${keys}`,
    `UPDATE ${table} SET team_id = (SELECT MIN(id) FROM team) WHERE team_id = ''`,
  ]),
);
