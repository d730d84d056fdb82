import { running } from '../lib/statements';

/** Tables whose newest row is asked for, and the time by which that was told until now. */
const ORDERED: [string, string][] = [
  ['series', 'started_at'],
  ['bench_trials', 'started_at'],
  ['calibration', 'made_at'],
  ['calibration_change', 'changed_at'],
];

const added = ORDERED.flatMap(([name, time]) => [
  `ALTER TABLE ${name} ADD COLUMN IF NOT EXISTS entry BIGINT NULL`,
  // Milliseconds since 1970: rows of before stay in their order, and before all that come.
  `UPDATE ${name} SET entry = ROUND(1000 * UNIX_TIMESTAMP(${time})) WHERE entry IS NULL`,
]);

const defaults = ORDERED.flatMap(([name]) => [
  `ALTER TABLE ${name} MODIFY entry BIGINT NOT NULL DEFAULT (NEXTVAL(entry_number))`,
]);

/** Above all milliseconds since 1970 of this century. */
const FIRST_ENTRY = 4_000_000_000_000;

/**
 * Which row is the newest is told by a counter of the database: a clock can be set back. Identifiers of
 * missions are told apart to the letter, case and accents included.
 */
export const up = running([
  `CREATE SEQUENCE IF NOT EXISTS entry_number START WITH ${FIRST_ENTRY} NOCACHE`,
  ...added,
  ...defaults,
  'ALTER TABLE mission MODIFY id VARCHAR(40) CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin NOT NULL',
]);
