import { running } from '../lib/statements';

/** Lists of trials can be put out of the way, too; they are listed by robot and procedure. */
export const up = running([
  'ALTER TABLE bench_trials ADD COLUMN IF NOT EXISTS archived_at DATETIME(3) NULL',
  'CREATE INDEX IF NOT EXISTS bench_trials_listed ON bench_trials (robot_id, `procedure`, archived_at, entry)',
]);
