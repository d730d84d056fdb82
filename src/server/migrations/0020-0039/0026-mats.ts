import { running } from '../lib/statements';

/** A table has a mat: what is printed on its floor. */
export const up = running([
  `ALTER TABLE course ADD COLUMN IF NOT EXISTS mat JSON NULL AFTER floor_colour`,
]);
