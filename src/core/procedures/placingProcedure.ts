import { z } from 'zod';
import { procedure } from '../procedure/procedure';
import { PLACING_WAYS } from '../calibrationValues/placingWays';
import { placing, poseOnGrid } from '../placing/placing';
import { shapeOf, valuesSchema } from '../description/schema';
import { PLACING_LIST } from '../trials/lists/start';
import { MARKS_ON_GRID } from '../trials/placing';

const placingInput = z
  .strictObject({
    trials: z
      .array(
        z.strictObject({
          person: z.string().max(80),
          way: z.enum(PLACING_WAYS),
          ...shapeOf(MARKS_ON_GRID),
        }),
      )
      .max(10_000),
    ...shapeOf(PLACING_LIST),
    planned: valuesSchema(MARKS_ON_GRID)
      .nullable()
      .default(null)
      .describe('where they would stand if it were placed as planned'),
  })
  .refine(
    ({ planned, ...marks }) => planned === null || poseOnGrid(planned, marks) !== null,
    'expected nose and tail as planned no further apart across than on the robot',
  );

export const placingProcedure = procedure(
  'placing',
  'how exactly a robot is placed at its start, by whom and how: mean and scatter of its pose',
  placingInput,
  ({ trials, planned, ...marks }) => {
    const odd = trials.findIndex((trial) => poseOnGrid(trial, marks) === null);
    return odd >= 0
      ? {
          sentence: `Placing ${odd + 1}: nose and tail are further apart across than on the robot.`,
        }
      : { groups: placing(trials, marks, planned) };
  },
);
