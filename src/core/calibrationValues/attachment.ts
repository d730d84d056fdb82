import { z } from 'zod';
import { finite, notNegative } from './fields';

/** How an attachment reaches its named positions. */
export const attachmentValue = z.strictObject({
  kind: z.literal('attachment'),
  /** From its axle to its tip; 0: not said. */
  armM: notNegative.max(1),
  positions: z
    .array(
      z.strictObject({
        name: z.string().max(40),
        endedBy: z.enum(['counter', 'time']).default('counter'),
        angleRad: finite.min(-100).max(100),
        offsetRad: finite.min(-10).max(10),
        sdRad: notNegative.max(10),
        n: z.number().int().min(2),
      }),
    )
    .min(1)
    .max(40),
  homesBy: z.enum(['nothing', 'hand', 'stop', 'switch']).default('nothing'),
  /** From end to end; null: not said. */
  rangeRad: z.number().positive().max(200).nullable().default(null),
  /** Null: only one side was tried. */
  playRad: finite.nullable(),
  /** Null: only one speed was tried. */
  lateS: finite.nullable(),
  /** Null: no move was timed. */
  moveS: z.number().positive().nullable(),
});

export type AttachmentCalibration = z.output<typeof attachmentValue>;
