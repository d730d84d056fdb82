import type { Transaction } from 'sequelize';
import { teamRecord, type TeamRecord, type TeamSetUp } from '../../formats/records';
import { type Database, inTransaction } from '../database';
import type { Row } from '../models';
import { notFound, Problem } from '../problem';
import { storesOf } from '../storesOf';
import { courseKept } from './courses';
import { robotKept } from './robots';
import { routeKept } from './routes';
import { saveVersioned, type Kept } from './versioned';

const toRecord = (row: Row): TeamRecord => teamRecord.parse(row.get({ plain: true }));

const teamKept = (db: Database): Kept<TeamRecord> => ({
  what: 'team',
  model: db.models.team,
  read: (row) => Promise.resolve(toRecord(row)),
  columns: ({ name, settings }) => ({ name, settings }),
});

/** The team that is asked for, or else the first of this Corvat; null before the first start is done. */
export async function findTeam(db: Database, id?: string): Promise<TeamRecord | null> {
  const asked = id === undefined ? null : await db.models.team.findByPk(id);
  const row = asked ?? (await db.models.team.findOne({ order: ['id'] }));
  return row && toRecord(row);
}

/** The teams of this Corvat, in the order in which they came. */
export async function listTeams(db: Database): Promise<{ id: string; name: string }[]> {
  const rows = await db.models.team.findAll({ attributes: ['id', 'name'], order: ['id'] });
  return rows.map((row) => ({ id: row.get('id') as string, name: row.get('name') as string }));
}

/** Save a team: its name, and how it wants things to be said. */
export const saveTeam = (db: Database, record: TeamRecord): Promise<TeamRecord> =>
  inTransaction(db, async (transaction) => {
    const isThere = await db.models.team.count({ where: { id: record.id }, transaction });
    if (isThere === 0) throw notFound('team');
    return saveVersioned(teamKept(db), record, transaction);
  });

/** Make a team with its first robot, course and route, all or nothing. */
async function makeIn(db: Database, setUp: TeamSetUp, transaction: Transaction) {
  const team = await saveVersioned(teamKept(db), setUp.team, transaction);
  const own = storesOf(db, team.id);
  await saveVersioned(robotKept(own), setUp.robot, transaction);
  await saveVersioned(courseKept(own), setUp.course, transaction);
  await saveVersioned(routeKept(own), setUp.route, transaction);
  return team;
}

export const makeTeam = (db: Database, setUp: TeamSetUp): Promise<TeamRecord> =>
  inTransaction(db, (transaction) => makeIn(db, setUp, transaction));

/**
 * Make the first team of this Corvat, or one more where that is meant: of two browsers that set up the first at the
 * same time one is told of the other.
 */
export const setUpTeam = (
  db: Database,
  { another = false, ...setUp }: TeamSetUp,
): Promise<TeamRecord> =>
  inTransaction(db, async (transaction) => {
    const [first] = await db.models.team.findAll({ transaction, lock: true, order: ['id'] });
    if (!another && first !== undefined && first.get('id') !== setUp.team.id) {
      const { name } = toRecord(first);
      throw new Problem(
        409,
        'has-a-team',
        `This Corvat belongs to a team already: ${name}. Under its name, at the top right, another one can be made.`,
      );
    }
    return makeIn(db, setUp, transaction);
  });
