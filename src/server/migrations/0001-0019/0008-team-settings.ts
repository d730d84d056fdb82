import { running } from '../lib/statements';

/** How a team wants things to be said; null: as it was until now. */
export const up = running(['ALTER TABLE team ADD COLUMN IF NOT EXISTS settings JSON NULL']);
