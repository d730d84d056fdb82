import { z } from 'zod';
import { SEEN } from '../core/tuning/byEye';
import { TUNED_IDS } from '../core/tuning/controllers/shown';
import { ANGLE_SOURCES } from './benchConstants';
import { id, shortText } from './fields';

/* Single trials of the Bench, as their lists hold them. */

export const angle = z.number().min(-40).max(40);

export const turnTrialRecord = z.object({
  id,
  targetRad: angle.refine((value) => value !== 0, 'expected a turn, not 0'),
  /** Null: judged by eye only. */
  actualRad: angle.nullable(),
  seen: z.enum(['under', 'right', 'over']).nullable(),
  rateRadPerS: z.number().min(0.05).max(20),
  kind: z.enum(['spin', 'pivot']),
  durationS: z.number().positive().max(600).nullable(),
  measuredBy: z.enum(ANGLE_SOURCES),
  setAsideReason: z.string().trim().min(1, 'expected a reason').max(200).nullable(),
});

export const lapRecord = z.object({
  id,
  direction: z.enum(['cw', 'ccw']),
  xM: z.number().min(-5).max(5),
  yM: z.number().min(-5).max(5),
  headingRad: z.number().min(-3.2).max(3.2),
  setAsideReason: z.string().trim().min(1, 'expected a reason').max(200).nullable(),
});

const alongM = z.number().min(-10).max(10);

export const straightTrialRecord = z.object({
  id,
  commandedM: alongM.refine((told) => told !== 0, 'expected a drive, not 0'),
  actualM: alongM,
  sidewaysM: z.number().min(-5).max(5).nullable().describe('to the left positive'),
  speedMPerS: z.number().min(0.01).max(5),
  setAsideReason: z.string().trim().min(1, 'expected a reason').max(200).nullable(),
});

export const gapM = z.number().min(0).max(10);

export const rangeTrialRecord = z.object({
  id,
  unit: shortText.min(1, 'expected which unit').describe('its label'),
  trueM: gapM.describe('by the tape'),
  readingM: z.number().min(-1).max(30).nullable().describe('null: the echo was lost'),
  setAsideReason: z.string().trim().min(1, 'expected a reason').max(200).nullable(),
});

export const stopTrialRecord = z.object({
  id,
  speedMPerS: z.number().min(0.01).max(5),
  thresholdM: gapM.describe('from the bumper to the wall, as it was told'),
  stopM: z.number().min(-0.5).max(10).describe('from the bumper to the wall, where it stood'),
  setAsideReason: z.string().trim().min(1, 'expected a reason').max(200).nullable(),
});

export const gainTrialRecord = z.object({
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
  setAsideReason: z.string().trim().min(1, 'expected a reason').max(200).nullable(),
});
