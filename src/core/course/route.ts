import { z } from 'zod';
import { stepSchema } from '../steps/step';
import { ROUTE_WAYS } from '../versions/ofRoutes';
import { keptSchema } from '../versions/schema';
import { poseSchema } from './table';

/** A launch of the robot: where and how exactly it is placed, and what it does. */
export const routeSchema = keptSchema('route', ROUTE_WAYS, {
  start: poseSchema,
  placement: z
    .strictObject({
      alongSdM: z.number().min(0).max(0.5).default(0.004),
      acrossSdM: z.number().min(0).max(0.5).default(0.004),
      headingSdRad: z.number().min(0).max(1).default(0.014),
    })
    .prefault({})
    .describe('scatter of placing the robot, standard deviations along and across its heading'),
  steps: z
    .array(stepSchema)
    .max(100)
    .refine(
      (steps) => new Set(steps.map(({ id }) => id)).size === steps.length,
      'expected a different id for each step',
    ),
  turnCalibrationId: z
    .string()
    .max(40)
    .nullable()
    .default(null)
    .describe('the calibration from which the turns’ leads were computed'),
});

export type Route = z.output<typeof routeSchema>;
