import type { Transaction } from 'sequelize';
import type { Mission, Table } from '../../core/course/table';
import type { CourseRecord } from '../../formats/records';
import { type Database, inTransaction } from '../database';
import type { Row } from '../models';
import { archivedAtOf, archivedColumn } from './archived';
import { saveVersioned, type Kept } from './versioned';

const toMission = (row: Row): Mission => ({
  id: row.get('id') as string,
  name: row.get('name') as string,
  pose: {
    xM: row.get('xM') as number,
    yM: row.get('yM') as number,
    headingRad: row.get('headingRad') as number,
  },
  window: {
    alongM: row.get('windowAlongM') as number,
    acrossM: row.get('windowAcrossM') as number,
    headingRad: row.get('windowHeadingRad') as number,
  },
  points: row.get('points') as number,
});

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
});

async function toRecord(db: Database, row: Row, transaction?: Transaction): Promise<CourseRecord> {
  const id = row.get('id') as string;
  const missions = await db.models.mission.findAll({
    where: { courseId: id },
    order: ['position'],
    ...(transaction && { transaction }),
  });
  return {
    id,
    version: row.get('version') as number,
    teamId: row.get('teamId') as string,
    name: row.get('name') as string,
    table: {
      widthM: row.get('widthM') as number,
      heightM: row.get('heightM') as number,
      walls: row.get('walls') as Table['walls'],
      lines: row.get('lines') as Table['lines'],
      missions: missions.map(toMission),
    },
    archivedAt: archivedAtOf(row),
  };
}

export const courseKept = (db: Database): Kept<CourseRecord> => ({
  what: 'course',
  model: db.models.course,
  read: (row, transaction) => toRecord(db, row, transaction),
  columns: ({ teamId, name, table: { widthM, heightM, walls, lines }, archivedAt }) => ({
    teamId,
    name,
    widthM,
    heightM,
    walls,
    lines,
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
export const saveCourse = (db: Database, record: CourseRecord): Promise<CourseRecord> =>
  inTransaction(db, (transaction) => saveVersioned(courseKept(db), record, transaction));

export async function findCourse(db: Database, id: string): Promise<CourseRecord | null> {
  const row = await db.models.course.findByPk(id);
  return row && toRecord(db, row);
}

export const listCourses = async (db: Database): Promise<CourseRecord[]> =>
  Promise.all((await db.models.course.findAll({ order: ['id'] })).map((row) => toRecord(db, row)));
