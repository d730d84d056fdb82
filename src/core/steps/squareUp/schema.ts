import { z } from 'zod';
import { speed, stepId } from '../fields';

/** Press against the border, and take the heading for the wall's. */
export const squareUpSchema = z.object({
  id: stepId,
  kind: z.literal('square-up'),
  back: z.boolean().default(true).describe('with the back of the robot; else with its front'),
  speedMPerS: speed.default(0.15),
  pressS: z
    .number()
    .min(0.1)
    .max(10)
    .default(1)
    .describe('pressing, after it has come to the wall'),
});

export type SquareUpStep = z.output<typeof squareUpSchema>;
