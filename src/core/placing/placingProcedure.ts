import { z } from 'zod';
import { procedure } from '../procedure/procedure';
import { PLACING_WAYS } from '../calibrationValues/placingWays';
import { placing, poseOnGrid } from './placing';

const MILLIMETRES = 'are these millimetres? metres are expected';
const onGridM = z.number().min(-30).max(30, `expected at most ± 30 m: ${MILLIMETRES}`);
const onGrid = {
  noseAlongM: onGridM,
  noseAcrossM: onGridM.describe('to the left positive'),
  tailAcrossM: onGridM.describe('to the left positive'),
};

const placingInput = z
  .strictObject({
    trials: z
      .array(z.strictObject({ person: z.string().max(80), way: z.enum(PLACING_WAYS), ...onGrid }))
      .max(10_000),
    noseToTailM: z.number().min(0.02).max(2, `expected at most 2 m: ${MILLIMETRES}`),
    noseToAxleM: z.number().min(0).max(2, `expected at most 2 m: ${MILLIMETRES}`),
    planned: z
      .strictObject(onGrid)
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
