import { running } from '../lib/statements';

/** Every robot has a stand-in of its own: until now the team had one, for its first robot. */
export const up = running([
  'ALTER TABLE stand_in DROP FOREIGN KEY IF EXISTS stand_in_ibfk_1',
  "UPDATE stand_in SET id = JSON_VALUE(state, '$.robotId') WHERE JSON_VALUE(state, '$.robotId') IN (SELECT id FROM robot)",
  'ALTER TABLE stand_in DROP FOREIGN KEY IF EXISTS stand_in_of_robot',
  'ALTER TABLE stand_in ADD CONSTRAINT stand_in_of_robot FOREIGN KEY (id) REFERENCES robot (id)',
]);
