import { z } from 'zod';
import { partSchema } from '../description/schema';
import { motionsMade } from '../steps/inOrder';
import { numbered } from '../steps/tree';
import { MOST_STEPS, stepsSchema } from '../steps/step';
import { ROUTE_WAYS } from '../versions/ofRoutes';
import { PLACEMENT } from './description';
import { keptSchema } from '../versions/schema';
import { mountedSchema } from '../robot/robot';
import { poseSchema } from '../table/table';

/** A robot makes no more in a run. */
const MOST_MOTIONS = 500;

/** A launch of the robot: where and how exactly it is placed, and what it does. */
export const routeSchema = keptSchema('route', ROUTE_WAYS, {
  start: poseSchema,
  placement: partSchema(PLACEMENT).describe(
    'scatter of placing the robot, standard deviations along and across its heading',
  ),
  mounted: mountedSchema.describe(
    'what is mounted for it, by its name in the robot’s record; null: nothing',
  ),
  steps: stepsSchema
    .refine((steps) => {
      const ids = numbered(steps).map(({ step }) => step.id);
      return new Set(ids).size === ids.length;
    }, 'expected a different id for each step')
    .refine(
      (steps) => numbered(steps).length <= MOST_STEPS,
      `expected at most ${MOST_STEPS} steps, with those that stand within others`,
    )
    .refine(
      (steps) => motionsMade(steps) <= MOST_MOTIONS,
      `expected at most ${MOST_MOTIONS} motions, each counted as often as it is made`,
    ),
  turnCalibrationId: z
    .string()
    .max(40)
    .nullable()
    .default(null)
    .describe('the calibration from which the turns’ leads were computed'),
});

export type Route = z.output<typeof routeSchema>;
