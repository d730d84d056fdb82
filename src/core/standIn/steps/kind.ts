import type { z } from 'zod';
import type { Controller } from '../../control/controller';
import type { Robot } from '../../robot';

/** All that is known of a kind of step of a short bench program. */
export interface BenchStepKind<Schema extends z.ZodType> {
  schema: Schema;
  /** Its motion, as the program on the robot makes it. */
  control(step: z.output<Schema>, robot: Robot): Controller;
}

/** Keeps the types of what it is given. */
export const benchStepKind = <Schema extends z.ZodType>(
  kind: BenchStepKind<Schema>,
): BenchStepKind<Schema> => kind;
