import { z } from 'zod';
import { id, time } from './fields';

const line = z.string().max(2000);
const word = z.string().max(200);

/** A building sheet as it was typed into the robot: what it carries since then. */
export const typedProgramRecord = z.object({
  id,
  routeId: id,
  routeVersionId: id,
  robotId: id,
  sheet: z.object({
    devices: z.array(z.object({ name: word, device: word, port: word })).max(40),
    recipes: z
      .array(
        z.object({
          name: word,
          parameters: z.array(z.object({ name: word, unit: word })).max(40),
          lines: z.array(line).max(500),
        }),
      )
      .max(300),
    program: z.array(line).max(3000),
    notes: z.array(line).max(10),
  }),
  typedAt: time,
});

export type TypedProgramRecord = z.output<typeof typedProgramRecord>;
