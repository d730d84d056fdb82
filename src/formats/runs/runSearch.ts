import { z } from 'zod';
import { instantIn } from '../../core/text/dates';
import { teamZone } from '../../core/text/displaySettings';
import { id } from '../fields';

const empty = z.literal('').transform(() => undefined);
const optional = <Schema extends z.ZodType>(schema: Schema) =>
  z.union([empty, schema]).optional().catch(undefined);

export const day = z.iso.date();

/** Which single runs are wanted: all of what is said must hold. What cannot be read is taken as not said. */
export const runSearchSchema = z.object({
  /** Words of the note. */
  q: optional(z.string().trim().max(100)),
  route: optional(id),
  robot: optional(id),
  person: optional(z.string().trim().max(40)),
  cause: optional(z.string().trim().max(40)),
  /** The first and the last day, in the team's time zone. */
  since: optional(day),
  until: optional(day),
});

export type RunSearch = z.output<typeof runSearchSchema>;

export const runSearchFrom = (params: URLSearchParams): RunSearch =>
  runSearchSchema.parse(Object.fromEntries(params));

/** Where a page of runs ends: the next begins behind it. */
export const cursorSchema = z
  .string()
  .transform((text) => text.split('~'))
  .pipe(z.tuple([z.iso.datetime(), id]))
  .transform(([happenedAt, runId]) => ({ happenedAt, id: runId }));

export type RunCursor = z.output<typeof cursorSchema>;

export const cursorText = ({ happenedAt, id: runId }: RunCursor): string =>
  `${happenedAt}~${runId}`;

const DAY_MS = 86_400_000;

/** The instants from the beginning of a day to the end of another, in the team's time zone. */
export function instantsOf({
  since,
  until,
}: {
  since?: string | undefined;
  until?: string | undefined;
}) {
  const beginning = (of: string) => instantIn(`${of}T00:00`, teamZone());
  const dayAfter = (of: string) =>
    new Date(Date.parse(`${of}T00:00Z`) + DAY_MS).toISOString().slice(0, 10);
  return {
    from: since === undefined ? null : beginning(since),
    before: until === undefined ? null : beginning(dayAfter(until)),
  };
}
