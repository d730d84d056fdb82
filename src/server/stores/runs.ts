import { motionsOf } from '../../core/steps/tree';
import { Op, QueryTypes, type Transaction } from 'sequelize';
import { runRecord, savedRun, type RunRecord, type SavedRun } from '../../formats/records';
import { type TeamDatabase, inTransaction } from '../database';
import type { Row } from '../models';
import { routeSchema } from '../../core/course/route';
import { missionOfStep } from '../../core/steps/descriptions';
import { notFound, Problem } from '../problem';
import { columnsOf, fromRow } from './fromRow';
import { saveVersioned, type Kept } from './versioned';

const toSaved = fromRow(savedRun);

/** The number that the next run of a series gets. */
async function nextNumber(db: TeamDatabase, seriesId: string, transaction: Transaction) {
  const last = await db.models.run.max<number | null, Row>('number', {
    where: { seriesId },
    transaction,
  });
  return (last ?? 0) + 1;
}

/** Where the runs of a series belong: by these they are found over all series. */
interface Place {
  routeId: string;
  robotId: string;
  courseId: string;
}

async function placeOf(
  db: TeamDatabase,
  routeVersionId: string,
  transaction: Transaction,
): Promise<Place> {
  const [place] = await db.sequelize.query<Place>(
    `SELECT w.id routeId, w.robot_id robotId, w.course_id courseId
      FROM route_version v JOIN route w ON w.id = v.route_id WHERE v.id = :routeVersionId AND v.team_id = :team`,
    { type: QueryTypes.SELECT, replacements: { routeVersionId, team: db.teamId }, transaction },
  );
  if (place === undefined) throw notFound('route');
  return place;
}

const runKept = (db: TeamDatabase, { routeId, robotId }: Place): Kept<RunRecord> => ({
  what: 'run',
  model: db.models.run,
  read: (row) => Promise.resolve(fromRow(runRecord)(row)),
  columns: (record) => ({
    ...columnsOf(record),
    // The database keeps milliseconds; a repeated save must compare equal.
    happenedAt: new Date(record.happenedAt),
  }),
  atCreation: async ({ seriesId }, transaction) => ({
    number: await nextNumber(db, seriesId, transaction),
    routeId,
    robotId,
  }),
});

/**
 * Missions that a run can be about: those of the table, those that its route works, and those that it was
 * noted with before (a mission may have been taken off the table since).
 */
async function refuseUnknownMissions(
  db: TeamDatabase,
  { courseId }: Place,
  routeVersionId: string,
  runs: readonly RunRecord[],
  transaction: Transaction,
): Promise<void> {
  if (runs.every(({ missions }) => Object.keys(missions).length === 0)) return;
  const [onTable, before, version] = await Promise.all([
    db.models.mission.findAll({
      attributes: ['id'],
      where: { courseId },
      transaction,
    }),
    db.models.run.findAll({
      attributes: ['id', 'missions'],
      where: { id: runs.filter((run) => run.version > 0).map(({ id }) => id) },
      transaction,
    }),
    db.models.routeVersion.findByPk(routeVersionId, { attributes: ['route'], transaction }),
  ]);
  const known = new Set([
    ...onTable.map((mission) => mission.get('id') as string),
    ...motionsOf(routeSchema.parse(version?.get('route')).steps).map(missionOfStep),
    ...before.flatMap((run) => Object.keys(run.get('missions') as object)),
  ]);
  for (const { missions } of runs) {
    const odd = Object.keys(missions).find((id) => !known.has(id));
    if (odd === undefined) continue;
    const path = `missions.${odd}`;
    throw new Problem(422, 'unknown-mission', `${path}: expected a mission of this table`, {
      path,
    });
  }
}

/** A run that was made with one route does not go to a series of another. */
async function refuseOtherRoute(
  db: TeamDatabase,
  { routeId }: Place,
  ids: readonly string[],
  transaction: Transaction,
): Promise<void> {
  const odd = await db.models.run.count({
    where: { id: ids, routeId: { [Op.ne]: routeId } },
    transaction,
  });
  if (odd === 0) return;
  const sentence = 'expected a series of the route that the run was made with';
  throw new Problem(422, 'other-route', `seriesId: ${sentence}`, { path: 'seriesId' });
}

/**
 * New runs go in at once; one of them that is there already has each looked at by itself.
 *
 * @returns the rows as they stand now, in the order of their numbers
 */
async function saveAll(
  db: TeamDatabase,
  seriesId: string,
  place: Place,
  runs: readonly RunRecord[],
  transaction: Transaction,
): Promise<Row[]> {
  const kept = runKept(db, place);
  const ids = new Set(runs.map(({ id }) => id));
  const areNew =
    ids.size === runs.length &&
    runs.every(({ version }) => version === 0) &&
    (await db.models.run.count({ where: { id: [...ids] }, transaction })) === 0;
  if (!areNew) {
    await refuseOtherRoute(db, place, [...ids], transaction);
    for (const run of runs) await saveVersioned(kept, run, transaction);
    return db.models.run.findAll({ where: { id: [...ids] }, order: ['number'], transaction });
  }
  const first = await nextNumber(db, seriesId, transaction);
  return db.models.run.bulkCreate(
    runs.map((run, i) => ({
      ...kept.columns(run),
      id: run.id,
      version: 1,
      number: first + i,
      routeId: place.routeId,
      robotId: place.robotId,
    })),
    { transaction },
  );
}

async function saveInSeries(
  db: TeamDatabase,
  seriesId: string,
  runs: readonly RunRecord[],
  transaction: Transaction,
): Promise<SavedRun[]> {
  // The lock on the series gives its runs their numbers one after the other.
  const series = await db.models.series.findByPk(seriesId, {
    attributes: ['routeVersionId'],
    transaction,
    lock: true,
  });
  if (series === null) throw notFound('series');
  const routeVersionId = series.get('routeVersionId') as string;
  const place = await placeOf(db, routeVersionId, transaction);
  await refuseUnknownMissions(db, place, routeVersionId, runs, transaction);
  return (await saveAll(db, seriesId, place, runs, transaction)).map(toSaved);
}

/** Save one run; answers with its number in the series. */
export const saveRun = (db: TeamDatabase, run: RunRecord): Promise<SavedRun> =>
  inTransaction(db, async (transaction) => {
    const [saved] = await saveInSeries(db, run.seriesId, [run], transaction);
    if (saved === undefined) throw notFound('run');
    return saved;
  });

/** Save many runs of one series, all or none. */
export const importRuns = (
  db: TeamDatabase,
  seriesId: string,
  runs: readonly RunRecord[],
): Promise<SavedRun[]> =>
  inTransaction(db, (transaction) => saveInSeries(db, seriesId, runs, transaction));

/** The runs of a series, in the order in which they were made. */
export const listRuns = async (db: TeamDatabase, seriesId: string): Promise<SavedRun[]> =>
  (
    await db.models.run.findAll({
      where: { seriesId },
      order: ['number'],
    })
  ).map(toSaved);

export const countRuns = (db: TeamDatabase, seriesId: string): Promise<number> =>
  db.models.run.count({ where: { seriesId } });

/** Columns of names, each with the index that knows when a team used one last. */
const NAMES = {
  placedBy: { column: 'placed_by', index: 'team_placer' },
  battery: { column: 'battery', index: 'team_battery' },
} as const;

const MOST_NAMES = 20;

/**
 * Every value that a team has noted so far in a column of names, the one used last first. The team is said as a range
 * of one: the database then jumps from name to name in the index, where it would read all runs otherwise.
 */
export async function namesUsed(db: TeamDatabase, of: keyof typeof NAMES): Promise<string[]> {
  const { column, index } = NAMES[of];
  const rows = await db.sequelize.query<{ name: string }>(
    `SELECT ${column} name, MAX(happened_at) lastAt FROM run FORCE INDEX FOR GROUP BY (${index})
      WHERE team_id >= :team AND team_id <= :team
      GROUP BY team_id, ${column} HAVING name IS NOT NULL ORDER BY lastAt DESC LIMIT :most`,
    { type: QueryTypes.SELECT, replacements: { team: db.teamId, most: MOST_NAMES } },
  );
  return rows.map(({ name }) => name);
}
