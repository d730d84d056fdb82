import { running } from '../lib/statements';

/** A calibration belongs to a unit where it tells of one alone, and goes with it to another robot. */
export const up = running(
  ['calibration', 'calibration_change'].flatMap((table) => [
    `ALTER TABLE ${table} ADD COLUMN IF NOT EXISTS unit_id VARCHAR(40) NULL AFTER robot_id`,
    `ALTER TABLE ${table} ADD KEY IF NOT EXISTS of_unit (unit_id, entry)`,
  ]),
);
