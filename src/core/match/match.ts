import { z } from 'zod';
import { idSchema, shapeOf, valueSchema } from '../description/schema';
import { MATCH_WAYS } from '../versions/ofMatches';
import { keptSchema } from '../versions/schema';
import { CHANGE_OVER, LAUNCH, MATCH, MOST_CHANGE_OVERS, MOST_LAUNCHES } from './description';

/** A launch in a match, without the route that it drives. */
export const LAUNCH_SHAPE = {
  id: idSchema,
  ...shapeOf(LAUNCH),
  changeOversS: z
    .array(valueSchema(CHANGE_OVER))
    .max(MOST_CHANGE_OVERS)
    .default([])
    .describe(
      'measured times to have the robot ready for it, after the launch before; none: a guess',
    ),
};

export const MATCH_SHAPE = shapeOf(MATCH);

const launchSchema = z.strictObject({ ...LAUNCH_SHAPE, routeId: idSchema });

/** What is driven in a match: its launches in their order, the clock, and what a robot that stopped costs. */
export const matchSchema = keptSchema('match', MATCH_WAYS, {
  ...MATCH_SHAPE,
  launches: z
    .array(launchSchema)
    .max(MOST_LAUNCHES)
    .refine(
      (launches) => new Set(launches.map(({ id }) => id)).size === launches.length,
      'expected a different id for each launch',
    )
    .default([]),
});

/** One in which nothing is driven yet. */
export const emptyMatch = (): Match => matchSchema.parse({});

export type Match = z.output<typeof matchSchema>;
export type Launch = Match['launches'][number];
