import { emptyMatch } from '../../core/match/match';
import { matchRecord, type MatchRecord } from '../../formats/records';
import { inTransaction, type TeamDatabase } from '../database';
import { columnsOf, fromRow } from './fromRow';
import { saveVersioned, type Kept } from './versioned';

const toRecord = fromRow(matchRecord);

const matchKept = (db: TeamDatabase): Kept<MatchRecord> => ({
  what: 'match',
  model: db.models.courseMatch,
  pointsTo: ({ id, match: { launches } }) => [
    [db.models.course, id],
    ...launches.map(({ routeId }) => [db.models.route, routeId] as const),
  ],
  read: (row) => Promise.resolve(toRecord(row)),
  columns: columnsOf,
});

export const saveMatch = (db: TeamDatabase, record: MatchRecord): Promise<MatchRecord> =>
  inTransaction(db, (transaction) => saveVersioned(matchKept(db), record, transaction));

/** The match of a course: an empty one where none was made. */
export async function matchOfCourse(db: TeamDatabase, courseId: string): Promise<MatchRecord> {
  const row = await db.models.courseMatch.findByPk(courseId);
  return row === null ? { id: courseId, version: 0, match: emptyMatch() } : toRecord(row);
}
