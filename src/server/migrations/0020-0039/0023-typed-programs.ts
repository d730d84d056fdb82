import { running, table } from '../lib/statements';

/** What was typed into a robot, and when. */
export const up = running([
  table(
    'typed_program',
    `id CHAR(26) PRIMARY KEY,
    team_id CHAR(26) NOT NULL,
    route_id CHAR(26) NOT NULL,
    route_version_id CHAR(26) NOT NULL,
    robot_id CHAR(26) NOT NULL,
    sheet JSON NOT NULL,
    typed_at DATETIME(3) NOT NULL,
    FOREIGN KEY (route_version_id) REFERENCES route_version (id),
    FOREIGN KEY (robot_id) REFERENCES robot (id),
    KEY team_newest (team_id, route_id, typed_at)`,
  ),
]);
