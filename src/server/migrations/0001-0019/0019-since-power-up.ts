import { running } from '../lib/statements';

/** A still check says how long its sensor had been on: soon after power-up it may be warming up. */
export const up = running([
  'ALTER TABLE still_check ADD COLUMN IF NOT EXISTS since_power_up_s DOUBLE NULL AFTER power_up',
]);
