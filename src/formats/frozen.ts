import { z } from 'zod';
import { poseSchema, tableSchema } from '../core/table/table';
import { robotSchema } from '../core/robot/robot';
import { id } from './fields';

/**
 * What a series was run on, as it was when the series began: a later change of table, robot or calibrations
 * changes nothing of what it says. Its route's version never changes by itself, placement included.
 */
export const frozenSchema = z.object({
  /** Where the route was planned to end. */
  target: poseSchema,
  table: tableSchema,
  robot: robotSchema,
  calibrationIds: z.array(id),
});

export type Frozen = z.output<typeof frozenSchema>;
