import { z } from 'zod';
import { id } from './fields';

const label = z.string().trim().min(1).max(40);
const runNumber = z.coerce.number().int().min(1).max(100_000);
const empty = z.literal('').transform(() => undefined);
const optional = <Schema extends z.ZodType>(schema: Schema) => z.union([empty, schema]).optional();

/** Which runs are one side of a comparison: a series, or the part of it that all of these say. */
export const selectionSchema = z.object({
  series: id,
  person: optional(label),
  battery: optional(label),
  from: optional(runNumber),
  to: optional(runNumber),
});

export type Selection = z.output<typeof selectionSchema>;

/** The selection of a side in an address (a.series, a.person, …); null where it names none. */
export function selectionFrom(side: 'a' | 'b', params: URLSearchParams): Selection | null {
  const fields = Object.fromEntries(
    Object.keys(selectionSchema.shape).map((key) => [key, params.get(`${side}.${key}`) ?? '']),
  );
  const parsed = selectionSchema.safeParse(fields);
  return parsed.success ? parsed.data : null;
}

/** Only the runs that a selection means. */
export const isSelected =
  ({ person, battery, from = 1, to = Infinity }: Selection) =>
  (run: { number: number; placedBy: string | null; battery: string | null }): boolean =>
    run.number >= from &&
    run.number <= to &&
    (person === undefined || run.placedBy === person) &&
    (battery === undefined || run.battery === battery);

/** What part of its series a selection is, in words; empty for all of it. */
export function partText({ person, battery, from, to }: Selection): string {
  const parts = [
    from === undefined && to === undefined
      ? null
      : `runs ${from ?? 1} to ${to === undefined ? 'the last' : to}`,
    person === undefined ? null : `placed by ${person}`,
    battery === undefined ? null : `battery ${battery}`,
  ];
  return parts.filter((part) => part !== null).join(', ');
}
