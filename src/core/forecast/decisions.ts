import type { Route } from '../course/route';
import { isOwner } from '../steps/descriptions';
import { listsWithin, numbered } from '../steps/tree';
import type { SimulatedRun } from './simulatedRun';

/** How often runs took each of the lists of a step that decides. */
export interface DecisionForecast {
  /** Of the step: "4". */
  number: string;
  /** So often it was come to, in all runs. */
  asked: number;
  lists: { number: string; name: string; words: string; taken: number }[];
}

/**
 * Which lists the runs of a route took, step by step; steps that no run came to are left out.
 *
 * @param also lists that are told of all the same, by their step's number and their name: "4 else"
 */
export function decisionsOf(
  route: Route,
  runs: readonly SimulatedRun[],
  also: readonly string[] = [],
): DecisionForecast[] {
  const counts = new Map<string, number>();
  for (const { number, answer } of runs.flatMap(({ answers }) => answers)) {
    const key = `${number} ${answer}`;
    counts.set(key, (counts.get(key) ?? 0) + 1);
  }
  return numbered(route.steps).flatMap((one) => {
    const { step, number } = one;
    if (!isOwner(step)) return [];
    const lists = listsWithin({ ...one, step }).map(({ at, words, place }) => ({
      number: place.before.slice(0, -1),
      name: at.join('.'),
      words,
      taken: counts.get(`${number} ${at.join('.')}`) ?? 0,
    }));
    const asked = lists.reduce((sum, { taken }) => sum + taken, 0);
    const isWanted = lists.some(({ name }) => also.includes(`${number} ${name}`));
    return asked === 0 && !isWanted ? [] : [{ number, asked, lists }];
  });
}

/** A list of steps that few runs came to, in runs that were led there. */
export interface RareList {
  /** Of the list: "4b". */
  number: string;
  words: string;
  /** So many of all runs came to it by themselves. */
  taken: number;
  /** So many were led there. */
  runs: number;
  /** Of those, so many stopped on their way, and so many worked each mission that they came to. */
  stopped: number;
  worked: number;
}

/** What became of the runs that were led to a rare list, as a sentence. */
export const rareSentence = ({ number, words, taken, runs, stopped, worked }: RareList): string =>
  `${number}, ${words}, is rare (${taken} runs): of ${runs} that were led there ${
    stopped === 0 ? 'none' : stopped
  } stopped on the way, and ${worked === runs ? 'all' : worked} worked every mission that they came to.`;
