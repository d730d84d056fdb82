import { running } from '../lib/statements';

/** Series are grouped by what was tried and by route without reading what each was run on. */
export const up = running([
  'ALTER TABLE series ADD KEY IF NOT EXISTS tried (archived_at, trying, started_at)',
  'ALTER TABLE series ADD KEY IF NOT EXISTS of_versions (archived_at, route_version_id, started_at)',
  'ALTER TABLE series DROP KEY IF EXISTS by_trying',
]);
