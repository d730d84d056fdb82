import { running } from '../lib/statements';

/** What counts as steady is kept with each still check; earlier ones had the usual settings. */
export const up = running(['ALTER TABLE still_check ADD COLUMN IF NOT EXISTS settings JSON NULL']);
