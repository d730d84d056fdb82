import { z } from 'zod';
import { shapeOf, valuesSchema } from '../core/description/schema';
import { ANCHOR } from '../core/trials/anchor';
import { DAMPING_LOOK, GAIN_TRIAL } from '../core/trials/gain';
import { ATTACHMENT_MOVE } from '../core/trials/attachment';
import { BEND_ROUND } from '../core/trials/bendRound';
import { COLOUR_TRIAL } from '../core/trials/colour';
import { FAULT_LOOK } from '../core/trials/faultLook';
import { GAUGE_TRIAL } from '../core/trials/gauge';
import { LAP_TRIAL } from '../core/trials/lap';
import { LINE_PASS } from '../core/trials/linePass';
import { LINE_SQUARING_TRIAL } from '../core/trials/lineSquaring';
import { LIGHT_TRIAL } from '../core/trials/light';
import { PLACING_TRIAL } from '../core/trials/placing';
import { PRESENCE_TRIAL } from '../core/trials/presence';
import { RANGE_TRIAL } from '../core/trials/range';
import { SPEED_TRIAL } from '../core/trials/speed';
import { SQUARING_TRIAL } from '../core/trials/squaring';
import { STOP_TRIAL } from '../core/trials/stop';
import { STRAIGHT_TRIAL } from '../core/trials/straight';
import { AFTER_DRIVE, TURN_TRIAL } from '../core/trials/turn';
import { id, time } from './fields';
import { trialSchema } from './trialSchema';

/* Single trials of the Bench, as their lists hold them. */

export const turnTrialRecord = trialSchema(TURN_TRIAL).extend({
  afterDrive: valuesSchema(AFTER_DRIVE)
    .nullable()
    .default(null)
    .describe('how it began, where it followed a drive: taken out of what it was told and made'),
});

export const lapRecord = trialSchema(LAP_TRIAL);
export const straightTrialRecord = trialSchema(STRAIGHT_TRIAL);
export const rangeTrialRecord = trialSchema(RANGE_TRIAL);
export const stopTrialRecord = trialSchema(STOP_TRIAL);
export const speedTrialRecord = trialSchema(SPEED_TRIAL);
export const squaringTrialRecord = trialSchema(SQUARING_TRIAL);
export const placingTrialRecord = trialSchema(PLACING_TRIAL);
export const gaugeTrialRecord = trialSchema(GAUGE_TRIAL);
export const lightTrialRecord = trialSchema(LIGHT_TRIAL);
export const colourTrialRecord = trialSchema(COLOUR_TRIAL);
export const faultLookRecord = trialSchema(FAULT_LOOK);
export const linePassRecord = trialSchema(LINE_PASS);
export const bendRoundRecord = trialSchema(BEND_ROUND);
export const lineSquaringTrialRecord = trialSchema(LINE_SQUARING_TRIAL);
export const attachmentMoveRecord = trialSchema(ATTACHMENT_MOVE);
export const presenceTrialRecord = trialSchema(PRESENCE_TRIAL);

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

export const gainTrialRecord = trialSchema(GAIN_TRIAL).extend({
  damping: valuesSchema(DAMPING_LOOK)
    .nullable()
    .default(null)
    .describe('a look at what is tuned second, with this gain; null: at the gain alone'),
});

/** A moment of a recorded run at which the true heading is known. */
export const anchorRecord = z.strictObject({ id, ...shapeOf(ANCHOR.fields) });
