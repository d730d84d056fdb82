import type { Route } from '../course/route';
import { isOwner } from '../steps/descriptions';
import { listsWithin, numbered } from '../steps/tree';
import type { SimulatedRun } from './run';

/** How often runs took each of the lists of a step that decides. */
export interface DecisionForecast {
  /** Of the step: "4". */
  number: string;
  /** So often it was come to, in all runs. */
  asked: number;
  lists: { number: string; words: string; taken: number }[];
}

/** Which lists the runs of a route took, step by step; steps that no run came to are left out. */
export function decisionsOf(route: Route, runs: readonly SimulatedRun[]): DecisionForecast[] {
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
      words,
      taken: counts.get(`${number} ${at.join('.')}`) ?? 0,
    }));
    const asked = lists.reduce((sum, { taken }) => sum + taken, 0);
    return asked === 0 ? [] : [{ number, asked, lists }];
  });
}
