import type { Freshness } from '../../core/freshness';
import { daysBetween } from '../../core/text/dates';
import { counted } from '../../core/text/quantities';
import { teamZone } from '../../core/text/manner';
import type { SavedRouteVersion } from '../../formats/records';
import type { SeriesContext } from './seriesContext';

/** Something worth doing now, and where. */
export interface Suggestion {
  text: string;
  why: string;
  href: string;
}

const usedRuns = ({ runs }: SeriesContext) =>
  runs.filter((run) => run.setAsideReason === null).length;

function unfinished(context: SeriesContext): Suggestion[] {
  const { series } = context;
  const used = usedRuns(context);
  if (used >= series.plannedRuns) return [];
  return [
    {
      text: `Log run ${used + 1} of ${series.plannedRuns}`,
      why: `${series.trying}: ${counted(series.plannedRuns - used, 'planned run')} to go`,
      href: `/runs/${series.id}`,
    },
  ];
}

/**
 * What to do next, the most useful first: go on with what was begun, then try what was saved and never
 * run. Old unfinished series are left alone: a battery and a table ago, they are another experiment.
 *
 * @param series all, the newest first
 * @param versions of all routes
 */
export function suggestions(
  series: readonly SeriesContext[],
  versions: readonly SavedRouteVersion[],
  routeNames: ReadonlyMap<string, string>,
): Suggestion[] {
  const newest = series[0];
  const newestVersions = [...routeNames.keys()].flatMap(
    (routeId) =>
      versions
        .filter((version) => version.routeId === routeId)
        .toSorted((a, b) => b.number - a.number)[0] ?? [],
  );
  const neverRun = newestVersions.filter(
    ({ id }) => !series.some(({ version }) => version.id === id),
  );
  return [
    ...(newest === undefined ? [] : unfinished(newest)),
    ...neverRun.map(({ id, routeId, number }) => ({
      text: `Try ${routeNames.get(routeId) ?? 'the route'}, version ${number}`,
      why: 'It is saved and was never run: ten runs tell how far apart it ends',
      href: `/runs?version=${id}`,
    })),
  ];
}

/**
 * What the Bench would have a coach do: turns that are not known (any more), and a heading sensor that
 * nobody has looked at today.
 */
export function benchSuggestions(
  robotName: string,
  turns: Freshness,
  lastCheck: Date | null,
  now: Date,
): Suggestion[] {
  const isChecked = lastCheck !== null && daysBetween(lastCheck, now, teamZone()) === 0;
  return [
    ...(isChecked
      ? []
      : [
          {
            text: `Make a still check of ${robotName}`,
            why: 'Thirty seconds in the queue tell whether its heading creeps today',
            href: '/bench/still',
          },
        ]),
    ...(turns.state === 'fresh'
      ? []
      : [
          {
            text: `Measure how ${robotName} turns`,
            why: `turns: ${turns.text}; ten trials tell what to command`,
            href: '/bench/turns',
          },
        ]),
  ];
}
