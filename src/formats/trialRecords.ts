import { z } from 'zod';
import { DRIVEN_BY } from '../core/square/squarePath';
import { SEEN } from '../core/tuning/byEye';
import { TUNED_IDS } from '../core/robot/tunedIds';
import { SETTLES } from '../core/tuning/damping';
import { ANGLE_SOURCES } from './benchConstants';
import { GAUGE_TRIAL } from '../core/trials/gauge';
import { PLACING_TRIAL } from '../core/trials/placing';
import { SPEED_TRIAL } from '../core/trials/speed';
import { STOP_TRIAL } from '../core/trials/stop';
import { STRAIGHT_TRIAL } from '../core/trials/straight';
import { SQUARING_TRIAL } from '../core/trials/squaring';
import { id, shortText, time } from './fields';
import { trialSchema } from './trialSchema';

/* Single trials of the Bench, as their lists hold them. */

export const angle = z.number().min(-40).max(40);

export const turnTrialRecord = z.strictObject({
  id,
  targetRad: angle.refine((value) => value !== 0, 'expected a turn, not 0'),
  /** Null: judged by eye only. */
  actualRad: angle.nullable(),
  seen: z.enum(['under', 'right', 'over']).nullable(),
  wantedRad: angle
    .nullable()
    .default(null)
    .describe('what a turn that was only looked at was to make; null: what it was told'),
  times: z
    .number()
    .int()
    .min(1)
    .max(8)
    .default(1)
    .describe('so many such turns were looked at together: four of a square, say'),
  rateRadPerS: z.number().min(0.05).max(20),
  kind: z.enum(['spin', 'pivot']),
  durationS: z.number().positive().max(600).nullable(),
  facedRad: angle.nullable().default(null).describe('before the turn; null: nobody noted it'),
  place: shortText.default('').describe('where it stood'),
  readingSdRad: z
    .number()
    .positive()
    .max(1)
    .nullable()
    .default(null)
    .describe('of an angle that was judged less surely than usual; null: as usual'),
  readingRad: angle
    .nullable()
    .default(null)
    .describe('what the heading sensor showed of that turn; null: nobody noted it'),
  afterDrive: z
    .strictObject({
      facedRad: angle.nullable(),
      readingRad: angle.nullable(),
      turnsTo: z.boolean(),
    })
    .nullable()
    .default(null)
    .describe('how it began, where it followed a drive: taken out of what it was told and made'),
  measuredBy: z.enum(ANGLE_SOURCES),
  setAsideReason: z.string().trim().min(1, 'expected a reason').max(200).nullable(),
});

export const lapRecord = z.strictObject({
  id,
  direction: z.enum(['cw', 'ccw']),
  xM: z.number().min(-5).max(5),
  yM: z.number().min(-5).max(5),
  headingRad: z.number().min(-3.2).max(3.2),
  goesOn: z.boolean().default(false).describe('it began where the lap before it ended'),
  driven: z.enum(DRIVEN_BY).nullable().default(null).describe('null: as the list says'),
  setAsideReason: z.string().trim().min(1, 'expected a reason').max(200).nullable(),
});

export const straightTrialRecord = trialSchema(STRAIGHT_TRIAL);

export const gapM = z.number().min(0).max(10);

export const rangeTrialRecord = z.strictObject({
  id,
  unit: shortText.min(1, 'expected which unit').describe('its label'),
  trueM: gapM.describe('by the tape'),
  readingM: z
    .number()
    .min(-1)
    .max(30)
    .nullable()
    .describe('null: the echo was lost, or it shows volts'),
  readingV: z
    .number()
    .min(0)
    .max(60)
    .nullable()
    .default(null)
    .describe('of a sensor that shows volts; null: lost, or it shows a length'),
  turnedRad: z
    .number()
    .min(-1.2)
    .max(1.2)
    .default(0)
    .describe('of the robot, off the wall’s direction'),
  setAsideReason: z.string().trim().min(1, 'expected a reason').max(200).nullable(),
});

export const stopTrialRecord = trialSchema(STOP_TRIAL);

export const speedTrialRecord = trialSchema(SPEED_TRIAL);
export const squaringTrialRecord = trialSchema(SQUARING_TRIAL);
export const placingTrialRecord = trialSchema(PLACING_TRIAL);
export const gaugeTrialRecord = trialSchema(GAUGE_TRIAL);
const cause = z.string().min(1).max(40);

/** A trace that was judged in a drill: the number that it follows from, what it was, and what was said. */
export const drillTrialRecord = z.strictObject({
  id,
  seed: z.number().int().min(0).max(4_294_967_295),
  cause,
  answer: cause,
  answeredAt: time,
  setAsideReason: z.string().trim().min(1, 'expected a reason').max(200).nullable(),
});

export const gainTrialRecord = z.strictObject({
  id,
  controller: z.enum(TUNED_IDS),
  gain: z
    .number()
    .min(-1e5)
    .max(1e5)
    .refine((gain) => gain !== 0, 'expected a gain, not 0'),
  seen: z.enum(SEEN),
  proposedGainFactor: z
    .number()
    .min(-100)
    .max(100)
    .nullable()
    .describe('null: it was only looked at'),
  speed: z
    .number()
    .positive()
    .max(100)
    .nullable()
    .default(null)
    .describe('of the drive, m/s, or of the turn, rad/s; null: the usual one'),
  damping: z
    .strictObject({
      damping: z.number().min(0).max(1e4),
      integral: z.number().min(0).max(1e4),
      seen: z.enum(SETTLES),
    })
    .nullable()
    .default(null)
    .describe('a look at what is tuned second, with this gain; null: at the gain alone'),
  setAsideReason: z.string().trim().min(1, 'expected a reason').max(200).nullable(),
});

/** A moment of a recorded run at which the true heading is known. */
export const anchorRecord = z.strictObject({
  id,
  tS: z.number().min(-1e6).max(1e6),
  headingRad: z.number().min(-2000).max(2000),
  what: shortText.describe('how it is known'),
});
