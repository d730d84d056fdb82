import { running } from '../lib/statements';

/** Still checks of two readings that were typed; null: it was logged. */
export const up = running([
  'ALTER TABLE still_check ADD COLUMN IF NOT EXISTS display_step_rad DOUBLE NULL',
]);
