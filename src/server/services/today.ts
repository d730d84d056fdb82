import type { Freshness } from '../../core/text/freshness';
import { dayIn, daysBetween } from '../../core/text/dates';
import { counted } from '../../core/text/quantities';
import { teamZone } from '../../core/text/displaySettings';
import type { OlderProgram } from '../stores/typedPrograms';
import type { SavedSeries } from '../../formats/records';

/** Something worth doing now, and where. */
export interface Suggestion {
  text: string;
  why: string;
  href: string;
}

/** A series, and how many of its runs count. */
export interface SeriesSoFar {
  series: Pick<SavedSeries, 'id' | 'trying' | 'plannedRuns'>;
  used: number;
}

function unfinished({ series, used }: SeriesSoFar): Suggestion[] {
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
 * @param newest the newest series, if there is any
 * @param untried the newest version of each route that was never run
 */
export const suggestions = (
  newest: SeriesSoFar | null,
  untried: readonly { id: string; number: number; routeName: string }[],
): Suggestion[] => [
  ...(newest === null ? [] : unfinished(newest)),
  ...untried.map(({ id, routeName, number }) => ({
    text: `Try ${routeName}, version ${number}`,
    why: 'It is saved and was never run: ten runs tell how far apart it ends',
    href: `/runs?version=${id}`,
  })),
];

/** What robots carry that is older than what was saved. */
export const typeInSuggestions = (older: readonly OlderProgram[]): Suggestion[] =>
  older.map(({ versionId, number, routeName, robotName, typedAt }) => ({
    text: `Type ${routeName}, version ${number}, into ${robotName}`,
    why: `What it carries is older: it was typed in on ${dayIn(typedAt, teamZone())}`,
    href: `/course/building?version=${versionId}`,
  }));

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
