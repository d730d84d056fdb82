import { z } from 'zod';
import { REZERO_STRATEGIES } from '../core/robot/rezeroStrategies';
import type { StillCheck } from '../core/gyro/still/stillCheck';
import { TYPED } from '../core/gyro/still/description';
import { stillSettingsSchema } from '../core/gyro/still/stillSettings';
import { STILL_SETTINGS } from '../core/gyro/still/stillDefaults';
import { CALIBRATION_KIND_NAMES, calibrationValueSchema } from '../core/calibration/calibration';
import { ROBOT_PARTS } from '../core/calibration/parts';
import { standInActionSchema } from '../core/standIn/act';
import { MAX_TRIALS, POWER_UPS } from './benchConstants';
import { TUNED_IDS } from '../core/robot/tunedIds';
import { shapeOf, valueSchema, valuesSchema } from '../core/description/schema';
import { runDurationS, toleranceRad, turnRad } from '../core/description/values';
import { DRILL_LIST, GAIN_LIST, TRIED_AT } from '../core/trials/lists/control';
import { LAP_LIST, STRAIGHT_LIST, TURN_LIST } from '../core/trials/lists/driving';
import { LIGHT_LIST, COLOUR_LIST } from '../core/trials/lists/light';
import { PRESENCE_LIST, FAULT_LIST } from '../core/trials/lists/presence';
import { ATTACHMENT_LIST } from '../core/trials/lists/attachments';
import { MADE_UNDER } from '../core/trials/lists/madeUnder';
import { PLACING_LIST } from '../core/trials/lists/start';
import { RANGE_LIST, STOP_LIST } from '../core/trials/lists/distance';
import { MARKS_ON_GRID } from '../core/trials/placing';
import { id, note, shortText, time, version } from './fields';
import { withinReason } from './runs/withinReason';
import {
  anchorRecord,
  drillTrialRecord,
  gainTrialRecord,
  gaugeTrialRecord,
  lightTrialRecord,
  bendRoundRecord,
  colourTrialRecord,
  presenceTrialRecord,
  attachmentMoveRecord,
  linePassRecord,
  lineSquaringTrialRecord,
  faultLookRecord,
  lapRecord,
  placingTrialRecord,
  rangeTrialRecord,
  speedTrialRecord,
  squaringTrialRecord,
  stopTrialRecord,
  straightTrialRecord,
  turnTrialRecord,
} from './trialRecords';

/** What is done with the stand-in; the id makes a repeated one the same one. */
export const standInRequest = z.object({
  id,
  action: standInActionSchema,
  robotId: id.nullable().default(null).describe('null: the team’s first robot'),
});

export const robotChangeRecord = z.object({
  id,
  robotId: id,
  part: z.enum(ROBOT_PARTS),
  note,
  who: shortText.nullable(),
  changedAt: time,
});

const unitId = z.string().min(1).max(40).nullable().default(null);

/** A still check of a log; its result is computed by the server from the log. */
export const stillCheckRecord = z.object({
  id,
  version,
  robotId: id,
  logId: id,
  unitId: unitId.describe('the heading sensor that was plugged in; null: not known'),
  takenAt: time,
  powerUp: z.enum(POWER_UPS),
  sincePowerUpS: z
    .number()
    .min(0)
    .max(1e6)
    .nullable()
    .default(null)
    .describe('how long it had been on when the log began; null: not known'),
  school: z.enum(REZERO_STRATEGIES).nullable().describe('what was done before it, if anything'),
  beforeId: id.nullable().describe('the check before that'),
  runDurationS: valueSchema(runDurationS),
  toleranceRad: valueSchema(toleranceRad),
  settings: stillSettingsSchema
    .default(STILL_SETTINGS)
    .describe('what counts as steady, and as healthy'),
  displayStepRad: valueSchema(TYPED.stepRad)
    .nullable()
    .default(null)
    .describe('of the screen from which its two readings were typed; null: it was logged'),
  setAsideReason: z.string().trim().min(1, 'expected a reason').max(200).nullable(),
});

/** When it was put out of the way; null: it is in use. */
const archivedAt = time.nullable().default(null);

export const turnConditions = z.strictObject({
  ...shapeOf(MADE_UNDER),
  ...shapeOf(TURN_LIST),
  wantedRad: z.array(valueSchema(turnRad)).max(24),
});

/** Trials of one procedure with one robot under one set of conditions. */
const listOf = <P extends string, T extends z.ZodType, C extends z.ZodRawShape>(
  procedure: P,
  trial: T,
  more: C,
) =>
  z.object({
    id,
    version,
    robotId: id,
    procedure: z.literal(procedure),
    conditions: z.strictObject({ ...shapeOf(MADE_UNDER), ...more }),
    trials: z.array(trial).max(MAX_TRIALS),
    archivedAt,
  });

export const benchTrialsRecord = z.discriminatedUnion('procedure', [
  listOf('turns', turnTrialRecord, turnConditions.shape),
  listOf('square', lapRecord, shapeOf(LAP_LIST)),
  listOf('straight', straightTrialRecord, shapeOf(STRAIGHT_LIST)),
  listOf('range', rangeTrialRecord, shapeOf(RANGE_LIST)),
  listOf('stop', stopTrialRecord, shapeOf(STOP_LIST)),
  listOf('speed', speedTrialRecord, {}),
  listOf('squaring', squaringTrialRecord, {}),
  listOf('placing', placingTrialRecord, {
    ...shapeOf(PLACING_LIST),
    planned: valuesSchema(MARKS_ON_GRID)
      .nullable()
      .describe('where they would stand if it were placed as planned; null: nobody said'),
  }),
  listOf('gauge', gaugeTrialRecord, {}),
  listOf('light', lightTrialRecord, shapeOf(LIGHT_LIST)),
  listOf('colours', colourTrialRecord, shapeOf(COLOUR_LIST)),
  listOf('presence', presenceTrialRecord, shapeOf(PRESENCE_LIST)),
  listOf('guilty-part', faultLookRecord, shapeOf(FAULT_LIST)),
  listOf('line-speed', linePassRecord, {}),
  listOf('line-follow', bendRoundRecord, {}),
  listOf('line-square', lineSquaringTrialRecord, {}),
  listOf('attachments', attachmentMoveRecord, shapeOf(ATTACHMENT_LIST)),
  listOf('drill', drillTrialRecord, shapeOf(DRILL_LIST)),
  listOf('gains', gainTrialRecord, {
    ...shapeOf(GAIN_LIST),
    speeds: z
      .partialRecord(z.enum(TUNED_IDS), valueSchema(TRIED_AT))
      .default({})
      .describe('at which each is tried; left out: its usual one'),
  }),
  listOf('run-log', anchorRecord, { logId: id, name: shortText }),
]);

/** The unit to which a calibration belongs; null: the whole robot's, or made before units were told apart. */

/** A result that was applied; never changed. */
export const calibrationRecord = z.object({
  id,
  robotId: id,
  unitId,
  value: calibrationValueSchema.superRefine(withinReason),
  /** The raw readings that it rests on. */
  evidence: z.object({
    trialsId: id.nullable(),
    stillCheckId: id.nullable(),
    raw: z.array(z.unknown()).max(MAX_TRIALS),
  }),
  surface: shortText.nullable(),
  battery: shortText.nullable(),
});

/** One line of the journal: which calibration of a kind holds from now on, why, and who says so. */
export const calibrationChangeRecord = z.object({
  id,
  robotId: id,
  unitId,
  kind: z.enum(CALIBRATION_KIND_NAMES),
  calibrationId: id.nullable().describe('null: none holds any more'),
  reason: note.min(1, 'expected a reason'),
  who: shortText.nullable(),
  checked: z
    .boolean()
    .default(false)
    .describe('nothing changed: what holds was tried again, and still holds'),
});

export const savedCalibration = calibrationRecord.extend({ madeAt: time });
export const savedCalibrationChange = calibrationChangeRecord.extend({ changedAt: time });

/** Applying: the calibration and its line in the journal, both or neither. */
export const applyRequest = z.object({
  calibration: calibrationRecord,
  change: calibrationChangeRecord,
});

export type StandInRequest = z.output<typeof standInRequest>;
export type RobotChangeRecord = z.output<typeof robotChangeRecord>;
export type StillCheckRecord = z.output<typeof stillCheckRecord>;
/** What is kept of a check's result, so that a season can be drawn without its logs. */
export type StillResult = Omit<StillCheck, 'fit' | 'allan'>;
export type SavedStillCheck = StillCheckRecord & { result: StillResult };
export type BenchTrialsRecord = z.output<typeof benchTrialsRecord>;
/** A list of trials, as lists of lists show it. */
export interface TrialListEntry {
  id: string;
  startedAt: string;
  archivedAt: string | null;
  count: number;
  /** Of a recorded run. */
  name: string | null;
  surface: string;
}

export type TurnTrials = Extract<BenchTrialsRecord, { procedure: 'turns' }>;
export type TurnTrialRecord = TurnTrials['trials'][number];
export type StopTrials = Extract<BenchTrialsRecord, { procedure: 'stop' }>;
export type { StopTrialRecord } from '../core/trials/stop';
export type RangeTrials = Extract<BenchTrialsRecord, { procedure: 'range' }>;
export type RangeTrialRecord = z.output<typeof rangeTrialRecord>;
export type StraightTrials = Extract<BenchTrialsRecord, { procedure: 'straight' }>;
export type { StraightTrialRecord } from '../core/trials/straight';
export type SquareTrials = Extract<BenchTrialsRecord, { procedure: 'square' }>;
export type LapRecord = SquareTrials['trials'][number];
/** A recorded run and the moments at which its true heading is known. */
export type RunLogRecord = Extract<BenchTrialsRecord, { procedure: 'run-log' }>;
export type AnchorRecord = RunLogRecord['trials'][number];
export type SavedTrials = BenchTrialsRecord & { startedAt: string };
export type CalibrationRecord = z.output<typeof calibrationRecord>;
export type SavedCalibration = z.output<typeof savedCalibration>;
export type CalibrationChangeRecord = z.output<typeof calibrationChangeRecord>;
export type SavedCalibrationChange = z.output<typeof savedCalibrationChange>;
export type ApplyRequest = z.output<typeof applyRequest>;
export type SpeedTrials = Extract<BenchTrialsRecord, { procedure: 'speed' }>;
export type { SpeedTrialRecord } from '../core/trials/speed';
export type SquaringTrials = Extract<BenchTrialsRecord, { procedure: 'squaring' }>;
export type { SquaringTrialRecord } from '../core/trials/squaring';
export type PlacingTrials = Extract<BenchTrialsRecord, { procedure: 'placing' }>;
export type { PlacingTrialRecord } from '../core/trials/placing';
export type GaugeTrials = Extract<BenchTrialsRecord, { procedure: 'gauge' }>;
export type { GaugeTrialRecord } from '../core/trials/gauge';
export type LightTrials = Extract<BenchTrialsRecord, { procedure: 'light' }>;
export type { LightTrialRecord } from '../core/trials/light';
export type ColourTrials = Extract<BenchTrialsRecord, { procedure: 'colours' }>;
export type { ColourTrialRecord } from '../core/trials/colour';
export type PresenceTrials = Extract<BenchTrialsRecord, { procedure: 'presence' }>;
export type { PresenceTrialRecord } from '../core/trials/presence';
export type FaultTrials = Extract<BenchTrialsRecord, { procedure: 'guilty-part' }>;
export type { FaultLookRecord } from '../core/trials/faultLook';
export type LinePassTrials = Extract<BenchTrialsRecord, { procedure: 'line-speed' }>;
export type BendRounds = Extract<BenchTrialsRecord, { procedure: 'line-follow' }>;
export type LineSquaringTrials = Extract<BenchTrialsRecord, { procedure: 'line-square' }>;
export type { LineSquaringTrialRecord } from '../core/trials/lineSquaring';
export type AttachmentTrials = Extract<BenchTrialsRecord, { procedure: 'attachments' }>;
export type DrillTrials = Extract<BenchTrialsRecord, { procedure: 'drill' }>;
export type DrillTrialRecord = z.output<typeof drillTrialRecord>;
export type GainTrials = Extract<BenchTrialsRecord, { procedure: 'gains' }>;
export type GainTrialRecord = z.output<typeof gainTrialRecord>;
