import { running, table } from '../lib/statements';

/** The team's units that are on no robot. */
export const up = running([
  table(
    'stock_unit',
    `id CHAR(26) PRIMARY KEY,
    version INT UNSIGNED NOT NULL,
    team_id CHAR(26) NOT NULL,
    unit JSON NOT NULL,
    archived_at DATETIME(3) NULL,
    FOREIGN KEY (team_id) REFERENCES team (id),
    KEY of_team (team_id, archived_at)`,
  ),
]);
