import { running, table } from '../lib/statements';

/** What is driven in a match: the launches of a course, in their order. */
export const up = running([
  table(
    'course_match',
    `id CHAR(26) PRIMARY KEY,
    version INT UNSIGNED NOT NULL,
    team_id CHAR(26) NOT NULL,
    \`match\` JSON NOT NULL,
    FOREIGN KEY (id) REFERENCES course (id)`,
  ),
]);
