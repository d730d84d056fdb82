import { z } from 'zod';
import { RUN_NUMBER } from '../../core/runs/description';
import { instantIn } from '../../core/text/dates';
import { teamZone } from '../../core/text/displaySettings';
import { id } from '../fields';

const label = z.string().trim().min(1).max(40);
const runNumber = z.coerce.number().int().min(RUN_NUMBER.min).max(RUN_NUMBER.max);
/** A day and a time on the team's clocks, to the minute. */
const localMinute = z.string().regex(/^\d{4}-\d\d-\d\dT\d\d:\d\d$/);
const empty = z.literal('').transform(() => undefined);
const optional = <Schema extends z.ZodType>(schema: Schema) => z.union([empty, schema]).optional();

/** Of what the runs are: one series, all that one version of a route was run in, or all of a route. */
const SOURCES = ['series', 'version', 'route'] as const;

/** Which runs are one side of a comparison: those of a series, a version or a route that all of this says. */
export const selectionSchema = z.object({
  of: z.enum(SOURCES),
  id,
  person: optional(label),
  battery: optional(label),
  from: optional(runNumber),
  to: optional(runNumber),
  since: optional(localMinute),
  until: optional(localMinute),
});

export type Selection = z.output<typeof selectionSchema>;

/** What a side is of, as one word of a form: "series:01…". */
export const sourceText = ({ of, id: sourceId }: Pick<Selection, 'of' | 'id'>): string =>
  `${of}:${sourceId}`;

/** The selection of a side in an address (a.series=…, or a.of=series:…, a.person, …); null where it names none. */
export function selectionFrom(side: 'a' | 'b', params: URLSearchParams): Selection | null {
  const fields = Object.fromEntries(
    Object.keys(selectionSchema.shape).map((key) => [key, params.get(`${side}.${key}`) ?? '']),
  );
  const named = SOURCES.find((of) => params.has(`${side}.${of}`));
  const [of, sourceId] =
    named === undefined ? (fields.of ?? '').split(':') : [named, params.get(`${side}.${named}`)];
  const parsed = selectionSchema.safeParse({ ...fields, of, id: sourceId });
  return parsed.success ? parsed.data : null;
}

/** The parameters of an address that mean a selection. */
export const selectionParams = (
  side: 'a' | 'b',
  { of, id: sourceId, ...part }: Selection,
): Record<string, string> =>
  Object.fromEntries(
    Object.entries({ [of]: sourceId, ...part }).flatMap(([key, value]) =>
      value === undefined ? [] : [[`${side}.${key}`, String(value)]],
    ),
  );

const instant = (local: string | undefined): number | null =>
  local === undefined ? null : (instantIn(local, teamZone())?.getTime() ?? null);

/** From when and before when its runs were made, in ms. */
export const boundsOf = ({ since, until }: Selection): { fromMs: number; beforeMs: number } => ({
  fromMs: instant(since) ?? -Infinity,
  beforeMs: instant(until) ?? Infinity,
});

/** Only the runs that a selection means. */
export function isSelected(selection: Selection) {
  const { person, battery, from = 1, to = Infinity } = selection;
  const { fromMs, beforeMs } = boundsOf(selection);
  return (run: {
    number: number;
    happenedAt: string;
    placedBy: string | null;
    battery: string | null;
  }): boolean => {
    const at = Date.parse(run.happenedAt);
    return (
      run.number >= from &&
      run.number <= to &&
      at >= fromMs &&
      at < beforeMs &&
      (person === undefined || run.placedBy === person) &&
      (battery === undefined || run.battery === battery)
    );
  };
}

const onClock = (local: string) => local.replace('T', ' ');

/** What part of its series, version or route a selection is, in words; empty for all of it. */
export function partText({ person, battery, from, to, since, until }: Selection): string {
  const parts = [
    from === undefined && to === undefined
      ? null
      : `runs ${from ?? 1} to ${to === undefined ? 'the last' : to}`,
    since === undefined ? null : `from ${onClock(since)}`,
    until === undefined ? null : `before ${onClock(until)}`,
    person === undefined ? null : `placed by ${person}`,
    battery === undefined ? null : `battery ${battery}`,
  ];
  return parts.filter((part) => part !== null).join(', ');
}
