import { running } from '../lib/statements';

/** The ends of a series are kept with its findings: a thousand runs are not read again for their picture. */
export const up = running([
  'ALTER TABLE series_finding ADD COLUMN IF NOT EXISTS ends JSON NOT NULL DEFAULT (JSON_ARRAY())',
]);
