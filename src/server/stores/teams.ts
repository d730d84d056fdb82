import type { Transaction } from 'sequelize';
import { teamRecord, type TeamRecord, type TeamSetUp } from '../../formats/records';
import { type Database, inTransaction } from '../database';
import type { Row } from '../models';
import { notFound, Problem } from '../problem';
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

/** The team that this Corvat belongs to, or null before the first start is done. */
export async function findTeam(db: Database): Promise<TeamRecord | null> {
  const row = await db.models.team.findOne({ order: ['id'] });
  return row && toRecord(row);
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
  await saveVersioned(robotKept(db), setUp.robot, transaction);
  await saveVersioned(courseKept(db), setUp.course, transaction);
  await saveVersioned(routeKept(db), setUp.route, transaction);
  return team;
}

export const makeTeam = (db: Database, setUp: TeamSetUp): Promise<TeamRecord> =>
  inTransaction(db, (transaction) => makeIn(db, setUp, transaction));

/** Make the team that this Corvat belongs to; there is no second one. */
export const setUpTeam = (db: Database, setUp: TeamSetUp): Promise<TeamRecord> =>
  inTransaction(db, async (transaction) => {
    const [first] = await db.models.team.findAll({ transaction, lock: true, order: ['id'] });
    if (first !== undefined && first.get('id') !== setUp.team.id) {
      const { name } = toRecord(first);
      throw new Problem(409, 'has-a-team', `This Corvat belongs to a team already: ${name}.`);
    }
    return makeIn(db, setUp, transaction);
  });
