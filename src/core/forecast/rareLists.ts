import { plannedBranches } from '../course/branches';
import { planRoute } from '../course/plan';
import { routeTargets } from '../course/routeMissions';
import { decisionsOf, type RareList } from './decisions';
import { atMark, works } from './points';
import { prepare, type Simulation } from './prepare';
import { simulateRun } from './run';
import type { Answered, SimulatedRun } from './simulatedRun';

/** A list that fewer runs took is simulated by itself, so many times. */
const ENOUGH = 50;
/** Their numbers, which no other simulated run uses. */
const FIRST_RUN = 700_000;

/** The answers that lead to each list of each step that decides, by the step's number and the list's name. */
function waysTo({ route, robot, table }: Simulation): Map<string, Answered[]> {
  const usual = planRoute(route, robot, table);
  const ways = [usual, ...plannedBranches(route, robot, table, usual).map(({ way }) => way)];
  const found = new Map<string, Answered[]>();
  for (const way of ways) {
    const answers: Answered[] = [];
    for (const { number, choice, answer } of way) {
      if (choice === undefined || answer === undefined) continue;
      answers.push({ number, answer });
      const key = `${number} ${answer}`;
      if (choice.decides !== undefined && !found.has(key)) found.set(key, [...answers]);
    }
  }
  return found;
}

const workedAll = ({ table, route }: Simulation, run: SimulatedRun): boolean => {
  const among = routeTargets(route, table);
  return among.every((one) => atMark(run, one) === undefined || works(run, one, among));
};

/**
 * The lists of a route's decisions that few of its runs took, each simulated in runs that are led there: what happens
 * in one run of fifty is seen, too.
 *
 * @param runs of the simulation, as they went by themselves
 */
export function rareLists(simulation: Simulation, runs: readonly SimulatedRun[]): RareList[] {
  const ways = waysTo(simulation);
  const rare = decisionsOf(simulation.route, runs, [...ways.keys()]).flatMap(
    ({ number: step, lists }) =>
      lists
        .filter(({ taken }) => taken < ENOUGH)
        .map((list) => ({ ...list, answers: ways.get(`${step} ${list.name}`) })),
  );
  return rare.flatMap(({ number, words, taken, answers }) => {
    if (answers === undefined) return [];
    const led = { ...simulation, ledBy: answers };
    const prepared = prepare(led);
    const there = Array.from({ length: ENOUGH }, (_, i) =>
      simulateRun(led, prepared, FIRST_RUN + i),
    );
    return [
      {
        number,
        words,
        taken,
        runs: ENOUGH,
        stopped: there.filter(({ end }) => end.failure !== null).length,
        worked: there.filter((run) => run.end.failure === null && workedAll(simulation, run))
          .length,
      },
    ];
  });
}
