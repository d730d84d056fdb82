import { running } from '../lib/statements';

/** Missions are scored in parts, and after each other; obstacles with a height and home areas stand on tables. */
export const up = running([
  `ALTER TABLE mission ADD COLUMN IF NOT EXISTS parts JSON NOT NULL DEFAULT '[]'`,
  `ALTER TABLE mission ADD COLUMN IF NOT EXISTS \`after\` JSON NOT NULL DEFAULT '[]'`,
  `ALTER TABLE course ADD COLUMN IF NOT EXISTS obstacles JSON NOT NULL DEFAULT '[]' AFTER fields`,
  `ALTER TABLE course ADD COLUMN IF NOT EXISTS home_areas JSON NOT NULL DEFAULT '[]' AFTER obstacles`,
]);
