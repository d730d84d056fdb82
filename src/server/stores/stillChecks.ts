import { z } from 'zod';
import { stillCheck, type StillLog } from '../../core/gyro/stillCheck';
import { STILL_SETTINGS } from '../../core/gyro/stillDefaults';
import {
  stillCheckRecord,
  type SavedStillCheck,
  type StillCheckRecord,
  type StillResult,
} from '../../formats/benchRecords';
import { type Database, inTransaction } from '../database';
import type { Row } from '../models';
import { notFound, Problem } from '../problem';
import { findLog, logSamples } from './benchLogs';
import { saveVersioned, type Kept } from './versioned';

const resultSchema = z.custom<StillResult>((value) => typeof value === 'object' && value !== null);

const toRecord = (row: Row): StillCheckRecord =>
  stillCheckRecord.parse({
    ...row.get({ plain: true }),
    takenAt: (row.get('takenAt') as Date).toISOString(),
    settings: row.get('settings') ?? STILL_SETTINGS,
  });

const toSaved = (row: Row): SavedStillCheck => ({
  ...toRecord(row),
  result: resultSchema.parse(row.get('result')),
});

/** The heading of a log (or else its rate), as the still check wants it. */
async function stillLogOf(db: Database, logId: string): Promise<StillLog> {
  const log = await findLog(db, logId);
  if (log === null) throw notFound('log');
  const { tS, columns } = await logSamples(db, log);
  const { headingRad, rateRadPerS } = columns;
  if (headingRad !== undefined) return { kind: 'heading', tS, headingRad };
  if (rateRadPerS !== undefined) return { kind: 'rate', tS, rateRadPerS };
  throw new Problem(422, 'no-heading', 'This log has neither a heading nor a turning rate.');
}

const resultOf = async (db: Database, record: StillCheckRecord): Promise<StillResult> => {
  const log = await stillLogOf(db, record.logId);
  const { fit: _fit, ...result } = stillCheck(
    log,
    record.runDurationS,
    record.toleranceRad,
    record.settings,
  );
  return result;
};

/** Save a still check; what it found is reckoned here, from the log. */
export async function saveStillCheck(
  db: Database,
  record: StillCheckRecord,
): Promise<SavedStillCheck> {
  const result = await resultOf(db, record);
  const kept: Kept<StillCheckRecord> = {
    what: 'still check',
    model: db.models.stillCheck,
    read: (row) => Promise.resolve(toRecord(row)),
    columns: ({ id: _id, version: _version, takenAt, ...columns }) => ({
      ...columns,
      takenAt: new Date(takenAt),
      result,
    }),
  };
  const saved = await inTransaction(db, (transaction) => saveVersioned(kept, record, transaction));
  return { ...saved, result };
}

/** All still checks of a robot, the newest first. */
export const listStillChecks = async (db: Database, robotId: string): Promise<SavedStillCheck[]> =>
  (
    await db.models.stillCheck.findAll({
      where: { robotId },
      order: [
        ['takenAt', 'DESC'],
        ['id', 'DESC'],
      ],
    })
  ).map(toSaved);
