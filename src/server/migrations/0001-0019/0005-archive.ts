import { running } from '../lib/statements';

/** Robots, courses, routes and series can be put out of the way, and taken back. */
export const up = running(
  ['robot', 'course', 'route', 'series'].map(
    (name) => `ALTER TABLE ${name} ADD COLUMN IF NOT EXISTS archived_at DATETIME(3) NULL`,
  ),
);
