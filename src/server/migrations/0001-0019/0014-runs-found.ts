import { running, table } from '../lib/statements';

/**
 * Single runs are found over all series: by robot, route, person, battery, cause and day from an index each, and by
 * words of their notes. Plans of runs, and the series that belong to one.
 */
export const up = running([
  'ALTER TABLE run ADD COLUMN IF NOT EXISTS route_id CHAR(26) NULL',
  'ALTER TABLE run ADD COLUMN IF NOT EXISTS robot_id CHAR(26) NULL',
  `UPDATE run r
    JOIN series s ON s.id = r.series_id
    JOIN route_version v ON v.id = s.route_version_id
    JOIN route w ON w.id = v.route_id
    SET r.route_id = w.id, r.robot_id = w.robot_id
    WHERE r.route_id IS NULL`,
  'ALTER TABLE run ADD KEY IF NOT EXISTS of_route (route_id, happened_at)',
  'ALTER TABLE run ADD KEY IF NOT EXISTS of_robot (robot_id, happened_at)',
  'ALTER TABLE run ADD KEY IF NOT EXISTS by_cause (cause, happened_at)',
  'ALTER TABLE run ADD FULLTEXT KEY IF NOT EXISTS by_note (note)',
  table(
    'series_comparison',
    `series_id CHAR(26) PRIMARY KEY,
    state VARCHAR(200) NOT NULL,
    comparison JSON NOT NULL`,
  ),
  table(
    'run_plan',
    `id CHAR(26) PRIMARY KEY,
    plan JSON NOT NULL,
    made_at DATETIME(3) NOT NULL`,
  ),
  'ALTER TABLE series ADD COLUMN IF NOT EXISTS plan_id CHAR(26) NULL',
  'ALTER TABLE series ADD KEY IF NOT EXISTS of_plan (plan_id)',
  'ALTER TABLE series ADD KEY IF NOT EXISTS by_trying (trying)',
]);
