import { running } from '../lib/statements';

/** A line of the journal may say that what holds was tried again and still holds: then it is as fresh as that. */
export const up = running([
  'ALTER TABLE calibration_change ADD COLUMN IF NOT EXISTS checked TINYINT(1) NOT NULL DEFAULT 0 AFTER who',
]);
