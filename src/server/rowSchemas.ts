import { z } from 'zod';
import { routeSchema } from '../core/course/route';
import { shapeOf } from '../core/description/schema';
import { POSE, WINDOW } from '../core/table/description';
import { missionSchema, tableSchema } from '../core/table/table';
import { STILL_SETTINGS } from '../core/gyro/still/stillDefaults';
import { standInSchema } from '../core/standIn/state';
import {
  benchTrialsRecord,
  calibrationChangeRecord,
  calibrationRecord,
  robotChangeRecord,
  stillCheckRecord,
} from '../formats/benchRecords';
import { benchLogRecord } from '../formats/benchLogs';
import { id, name, time, version } from '../formats/fields';
import { frozenSchema } from '../formats/frozen';
import { typedProgramRecord } from '../formats/typedProgram';
import { runPlanRecord } from '../formats/runs/runPlan';
import {
  courseRecord,
  matchRecord,
  robotRecord,
  routeRecord,
  routeVersionRecord,
  runRecord,
  seriesRecord,
  stockDeviceRecord,
  teamRecord,
} from '../formats/records';
import { LOG_PIECE_SAMPLES } from '../formats/benchConstants';
import type { TableName } from './models';

/** A row of a table as plain values, times as texts. */
export type PlainRow = Record<string, unknown>;

/** What a row of a table has to hold so that every page can read it. */
type RowSchema = z.ZodType<PlainRow>;

/** A piece of a log, packed badly, in letters: 8 bytes a number, 4 letters for 3 bytes, and some. */
const MOST_PACKED = 12 * LOG_PIECE_SAMPLES;

const number = z.number().int().min(0).max(2_000_000_000);
const counted = { entry: z.number().int().optional() };

/** Rows of an earlier Corvat have no number of entry: their time stands in, in milliseconds. */
const entered =
  (time: string) =>
  (row: PlainRow): PlainRow => ({ ...row, entry: row.entry ?? Date.parse(String(row[time])) });

const pose = shapeOf(POSE);
const window = shapeOf(WINDOW);

const judged = z.object({
  driftRadPerS: z.number(),
  low95: z.number(),
  high95: z.number(),
  cleanS: z.number(),
  verdict: z.string(),
});

const still = z.object({
  ...stillCheckRecord.shape,
  settings: z
    .union([stillCheckRecord.shape.settings, z.null()])
    .transform((settings) => settings ?? STILL_SETTINGS),
  // As it is: what else an earlier or later Corvat found is kept.
  result: z.custom<object>((value) => judged.safeParse(value).success, 'expected a result'),
});

/**
 * The schema of each table's rows: those of the records, so that what is taken back from a file is held
 * to the same rules as what is saved.
 */
export const ROW_SCHEMAS: Record<TableName, RowSchema> = {
  team: teamRecord,
  robot: robotRecord,
  stockUnit: stockDeviceRecord,
  course: z.object({
    id,
    version,
    teamId: id,
    name,
    ...tableSchema.omit({ missions: true }).shape,
    archivedAt: courseRecord.shape.archivedAt,
  }),
  mission: z.object({
    courseId: id,
    position: number,
    ...missionSchema.omit({ pose: true, window: true }).shape,
    ...pose,
    windowAlongM: window.alongM.unwrap(),
    windowAcrossM: window.acrossM.unwrap(),
    windowHeadingRad: window.headingRad.unwrap(),
  }),
  route: routeRecord,
  routeVersion: z.object({
    ...routeVersionRecord.shape,
    route: routeSchema,
    number,
    savedAt: time,
  }),
  series: z
    .object({
      ...seriesRecord.shape,
      startedAt: time,
      frozen: frozenSchema.nullable().default(null),
      ...counted,
    })
    .transform(entered('startedAt')),
  courseMatch: matchRecord,
  runPlan: z.object({ id, plan: runPlanRecord, madeAt: time }),
  // Of an earlier Corvat they name no route and no robot; those of their series are filled in at the end.
  run: z.object({
    ...runRecord.shape,
    number,
    routeId: id.nullable().default(null),
    robotId: id.nullable().default(null),
  }),
  // In backups of an earlier Corvat it is the team's, and says which robot it stands in for.
  standIn: z
    .object({ id, state: standInSchema })
    .transform(({ state }) => ({ id: state.robotId, state })),
  typedProgram: typedProgramRecord,
  robotChange: robotChangeRecord,
  benchLog: benchLogRecord,
  benchLogColumn: z.object({
    logId: id,
    channel: z.string().min(1).max(64),
    number,
    data: z
      .base64()
      .max(MOST_PACKED, 'expected no more than a piece of a log holds')
      .transform((text) => Buffer.from(text, 'base64')),
  }),
  stillCheck: still,
  benchTrials: z
    .intersection(benchTrialsRecord, z.object({ startedAt: time, ...counted }))
    .transform(entered('startedAt')),
  calibration: z
    .object({ ...calibrationRecord.shape, kind: z.string().max(20), madeAt: time, ...counted })
    .transform(entered('madeAt')),
  calibrationChange: z
    .object({ ...calibrationChangeRecord.shape, changedAt: time, ...counted })
    .transform(entered('changedAt')),
};
