import { running } from '../lib/statements';

/** Every page says how old the newest version of a route and the newest still check are. */
export const up = running([
  'ALTER TABLE route_version ADD KEY IF NOT EXISTS newest (saved_at)',
  'ALTER TABLE still_check ADD KEY IF NOT EXISTS newest (taken_at)',
]);
