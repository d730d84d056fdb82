import { running } from '../lib/statements';

/** What earlier checks showed of a heading sensor narrows the next: each names the unit that was read. */
export const up = running([
  'ALTER TABLE still_check ADD COLUMN IF NOT EXISTS unit_id VARCHAR(40) NULL AFTER log_id',
  'ALTER TABLE still_check ADD KEY IF NOT EXISTS of_unit (robot_id, unit_id, taken_at)',
]);
