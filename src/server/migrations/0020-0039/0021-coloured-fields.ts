import { running } from '../lib/statements';

/** A table has areas of another colour than its floor, and a floor that need not be white. */
export const up = running([
  `ALTER TABLE course ADD COLUMN IF NOT EXISTS floor_colour VARCHAR(7) NOT NULL DEFAULT '#ffffff' AFTER \`lines\``,
  `ALTER TABLE course ADD COLUMN IF NOT EXISTS fields JSON NOT NULL DEFAULT '[]' AFTER floor_colour`,
]);
