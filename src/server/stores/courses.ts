import type { Transaction } from 'sequelize';
import { z } from 'zod';
import { missionSchema, type Mission } from '../../core/table/table';
import { courseRecord, type CourseRecord } from '../../formats/records';
import { type TeamDatabase, inTransaction } from '../database';
import type { Row } from '../models';
import { archivedColumn } from './archived';
import { fromRow, plainRow } from './fromRow';
import { saveVersioned, type Kept } from './versioned';

/** A mission's row, its pose and its window laid out in columns. */
const missionRow = z
  .object({
    id: z.string(),
    name: z.string(),
    points: z.number(),
    xM: z.number(),
    yM: z.number(),
    headingRad: z.number(),
    windowAlongM: z.number(),
    windowAcrossM: z.number(),
    windowHeadingRad: z.number(),
    parts: missionSchema.shape.parts,
    after: missionSchema.shape.after,
  })
  .transform(({ id, name, points, xM, yM, headingRad, parts, after, ...window }): Mission => ({
    id,
    name,
    pose: { xM, yM, headingRad },
    window: {
      alongM: window.windowAlongM,
      acrossM: window.windowAcrossM,
      headingRad: window.windowHeadingRad,
    },
    points,
    parts,
    after,
  }));

const toMissionRow = (courseId: string, mission: Mission, position: number) => ({
  courseId,
  id: mission.id,
  position,
  name: mission.name,
  points: mission.points,
  ...mission.pose,
  windowAlongM: mission.window.alongM,
  windowAcrossM: mission.window.acrossM,
  windowHeadingRad: mission.window.headingRad,
  parts: mission.parts,
  after: mission.after,
});

async function toRecord(
  db: TeamDatabase,
  row: Row,
  transaction?: Transaction,
): Promise<CourseRecord> {
  const missions = await db.models.mission.findAll({
    where: { courseId: row.get('id') },
    order: ['position'],
    ...(transaction && { transaction }),
  });
  const { id, version, teamId, name, archivedAt, mat, ...table } = plainRow(row);
  return courseRecord.parse({
    ...{ id, version, teamId, name, archivedAt },
    table: { ...table, ...(mat !== null && { mat }), missions: missions.map(fromRow(missionRow)) },
  });
}

export const courseKept = (db: TeamDatabase): Kept<CourseRecord> => ({
  what: 'course',
  isOfTeam: db.teamId,
  model: db.models.course,
  read: (row, transaction) => toRecord(db, row, transaction),
  columns: ({ teamId, name, table: { missions: _missions, ...table }, archivedAt }) => ({
    teamId,
    name,
    ...table,
    mat: table.mat ?? null,
    archivedAt: archivedColumn(archivedAt),
  }),
  async writeParts({ id, table }, transaction) {
    await db.models.mission.destroy({ where: { courseId: id }, transaction });
    await db.models.mission.bulkCreate(
      table.missions.map((mission, position) => toMissionRow(id, mission, position)),
      { transaction },
    );
  },
});

/** Save a course with its missions, all or nothing. */
export const saveCourse = (db: TeamDatabase, record: CourseRecord): Promise<CourseRecord> =>
  inTransaction(db, (transaction) => saveVersioned(courseKept(db), record, transaction));

export async function findCourse(db: TeamDatabase, id: string): Promise<CourseRecord | null> {
  const row = await db.models.course.findByPk(id);
  return row && toRecord(db, row);
}

export const listCourses = async (db: TeamDatabase): Promise<CourseRecord[]> =>
  Promise.all((await db.models.course.findAll({ order: ['id'] })).map((row) => toRecord(db, row)));
