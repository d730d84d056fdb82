import type { z } from 'zod';
import type { Controller } from '../../control/controller';
import type { Robot } from '../../robot/robot';
import type { Surroundings } from '../surroundings';

/** All that is known of a kind of step of a short bench program. */
export interface BenchStepKind<Schema extends z.ZodType> {
  schema: Schema;
  /** Its motion, as the program on the robot makes it. */
  control(step: z.output<Schema>, robot: Robot): Controller;
  /** What is put about the robot for it, told from where it begins; nothing where it is left out. */
  about?(step: z.output<Schema>, robot: Robot): Surroundings;
}

/** Keeps the types of what it is given. */
export const benchStepKind = <Schema extends z.ZodType>(
  kind: BenchStepKind<Schema>,
): BenchStepKind<Schema> => kind;
