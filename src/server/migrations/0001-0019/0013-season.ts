import { running, table } from '../lib/statements';

/**
 * A season of runs: what a series was run on is kept with it, what it says is kept by the state of its runs, and
 * lists are served by indexes.
 */
export const up = running([
  'ALTER TABLE series ADD COLUMN IF NOT EXISTS frozen JSON NULL',
  'ALTER TABLE series ADD KEY IF NOT EXISTS by_entry (archived_at, entry)',
  'ALTER TABLE run ADD KEY IF NOT EXISTS state_of_series (series_id, version)',
  'ALTER TABLE run ADD KEY IF NOT EXISTS by_time (happened_at)',
  'ALTER TABLE run ADD KEY IF NOT EXISTS by_placer (placed_by, happened_at)',
  'ALTER TABLE run ADD KEY IF NOT EXISTS by_battery (battery, happened_at)',
  table(
    'series_finding',
    `series_id CHAR(26) PRIMARY KEY,
    state VARCHAR(120) NOT NULL,
    findings JSON NOT NULL`,
  ),
]);
