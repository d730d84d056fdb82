import { Op } from 'sequelize';
import { z } from 'zod';
import { earlierOf, LATEST_CHECKS } from '../../core/gyro/still/earlierChecks';
import { judgeLog } from '../../core/gyro/judgeLog';
import type { StillLog } from '../../core/gyro/still/stillCheck';
import { STILL_CHANNELS, stillLogOf } from '../../core/gyro/still/stillLog';
import { stillSentences } from '../../core/gyro/still/stillSentence';
import { STILL_SETTINGS } from '../../core/gyro/still/stillDefaults';
import {
  stillCheckRecord,
  type SavedStillCheck,
  type StillCheckRecord,
  type StillResult,
} from '../../formats/benchRecords';
import { type TeamDatabase, inTransaction } from '../database';
import type { Row } from '../models';
import { notFound, Problem } from '../problem';
import { findLog, logSamples } from './benchLogs';
import { columnsOf, plainRow } from './fromRow';
import { saveVersioned, type Kept } from './versioned';

/** What was judged by an earlier version says nothing of the next run: the mean's interval stands for it. */
const resultSchema = z
  .custom<StillResult>((value) => typeof value === 'object' && value !== null)
  .transform((result) => ({
    ...result,
    kind: result.kind ?? 'heading',
    nextRunLow95: result.nextRunLow95 ?? result.low95,
    nextRunHigh95: result.nextRunHigh95 ?? result.high95,
    wanderRadPerS: result.wanderRadPerS ?? 0,
  }));

const toRecord = (row: Row): StillCheckRecord =>
  stillCheckRecord.parse({ ...plainRow(row), settings: row.get('settings') ?? STILL_SETTINGS });

const toSaved = (row: Row): SavedStillCheck => ({
  ...toRecord(row),
  result: resultSchema.parse(row.get('result')),
});

async function logOfCheck(
  db: TeamDatabase,
  { logId, robotId }: StillCheckRecord,
): Promise<StillLog> {
  const log = await findLog(db, logId);
  if (log === null) throw notFound('log');
  if (log.robotId !== robotId) {
    throw new Problem(422, 'other-robot', 'This log is another robot’s.', { path: 'logId' });
  }
  const still = stillLogOf(await logSamples(db, log, STILL_CHANNELS));
  if (still !== null) return still;
  throw new Problem(422, 'no-heading', 'This log has neither a heading nor a turning rate.', {
    path: 'logId',
  });
}

/** What the latest checks of the same heading sensor showed, before this one. */
async function earlierChecks(db: TeamDatabase, record: StillCheckRecord) {
  const { robotId, unitId, takenAt } = record;
  if (unitId === null) return [];
  const rows = await db.models.stillCheck.findAll({
    where: { robotId, unitId, setAsideReason: null, takenAt: { [Op.lt]: new Date(takenAt) } },
    order: [['takenAt', 'DESC']],
    limit: LATEST_CHECKS + 1,
  });
  return earlierOf(rows.map(toSaved), record);
}

async function resultOf(db: TeamDatabase, record: StillCheckRecord): Promise<StillResult> {
  const { runDurationS, toleranceRad, settings, displayStepRad } = record;
  const log = await logOfCheck(db, record);
  const check = judgeLog(log, runDurationS, toleranceRad, settings, displayStepRad, {
    earlier: await earlierChecks(db, record),
    sincePowerUpS: record.sincePowerUpS,
  });
  if (check.verdict === 'not-still') {
    const { found, next } = stillSentences(check, runDurationS, toleranceRad);
    throw new Problem(422, 'not-still', `${found} ${next}`, { path: 'logId' });
  }
  const { fit: _fit, allan: _allan, ...result } = check;
  return result;
}

/** Save a still check; what it found is computed here, from the log. */
export async function saveStillCheck(
  db: TeamDatabase,
  record: StillCheckRecord,
): Promise<SavedStillCheck> {
  const result = await resultOf(db, record);
  const kept: Kept<StillCheckRecord> = {
    what: 'still check',
    model: db.models.stillCheck,
    pointsTo: ({ robotId, logId, beforeId }) => [
      [db.models.robot, robotId],
      [db.models.benchLog, logId],
      [db.models.stillCheck, beforeId],
    ],
    read: (row) => Promise.resolve(toRecord(row)),
    columns: (kept) => ({
      ...columnsOf(kept),
      takenAt: new Date(kept.takenAt),
      result,
    }),
  };
  const saved = await inTransaction(db, (transaction) => saveVersioned(kept, record, transaction));
  return { ...saved, result };
}

/** All still checks of a robot, the newest first. */
export const listStillChecks = async (
  db: TeamDatabase,
  robotId: string,
): Promise<SavedStillCheck[]> =>
  (
    await db.models.stillCheck.findAll({
      where: { robotId },
      order: [
        ['takenAt', 'DESC'],
        ['id', 'DESC'],
      ],
    })
  ).map(toSaved);
