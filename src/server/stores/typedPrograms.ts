import { QueryTypes } from 'sequelize';
import { typedProgramRecord, type TypedProgramRecord } from '../../formats/typedProgram';
import { inTransaction, type TeamDatabase } from '../database';
import { columnsOf, fromRow } from './fromRow';
import { keepForGood, type KeptForGood } from './immutable';

const toRecord = fromRow(typedProgramRecord);

const kept = (db: TeamDatabase): KeptForGood<TypedProgramRecord> => ({
  what: 'program',
  model: db.models.typedProgram,
  pointsTo: ({ routeId, routeVersionId, robotId }) => [
    [db.models.route, routeId],
    [db.models.routeVersion, routeVersionId],
    [db.models.robot, robotId],
  ],
  read: toRecord,
  columns: (record) => ({ ...columnsOf(record), typedAt: new Date(record.typedAt) }),
});

/** Note that a route was typed into its robot. */
export const saveTypedProgram = (
  db: TeamDatabase,
  record: TypedProgramRecord,
): Promise<TypedProgramRecord> =>
  inTransaction(db, async (transaction) =>
    toRecord((await keepForGood(kept(db), record, transaction)).row),
  );

/** What a robot carries of a route: what was typed in last; null where nobody has said that it was. */
export async function carriedProgram(
  db: TeamDatabase,
  routeId: string,
): Promise<TypedProgramRecord | null> {
  const row = await db.models.typedProgram.findOne({
    where: { routeId },
    order: [
      ['typedAt', 'DESC'],
      ['id', 'DESC'],
    ],
  });
  return row && toRecord(row);
}

/** A route of which its robot carries another version than the newest. */
export interface OlderProgram {
  versionId: string;
  number: number;
  routeName: string;
  robotName: string;
  typedAt: Date;
}

/** The routes in use whose robots carry an older version than the newest. */
export const olderPrograms = (db: TeamDatabase): Promise<OlderProgram[]> =>
  db.sequelize.query(
    `SELECT v.id versionId, v.number, r.name routeName, b.name robotName, t.typed_at typedAt
      FROM route r
      JOIN robot b ON b.id = r.robot_id
      JOIN route_version v ON v.route_id = r.id
        AND v.number = (SELECT MAX(w.number) FROM route_version w WHERE w.route_id = r.id)
      JOIN typed_program t ON t.team_id = r.team_id AND t.route_id = r.id
        AND t.typed_at = (SELECT MAX(u.typed_at) FROM typed_program u
          WHERE u.team_id = r.team_id AND u.route_id = r.id)
      WHERE r.team_id = :team AND r.archived_at IS NULL AND t.route_version_id <> v.id
      ORDER BY r.id`,
    { type: QueryTypes.SELECT, replacements: { team: db.teamId } },
  );
