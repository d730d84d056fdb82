import { wrap } from '../geometry/angle';
import type { Pose } from '../geometry/pose';
import { doubtsThatTouch, robotOffBy } from '../sources/sources';
import type { Doubt } from '../sources/source';
import { sampleSd } from '../stats/moments';
import { routeTargets } from '../course/routeMissions';
import type { Target } from '../table/targets';
import { atMark } from './points';
import { prepare, type Simulation } from './prepare';
import { simulateRun } from './run';
import type { SimulatedRun } from './simulatedRun';

/** How much a doubt moves one robot's runs: at its end and at each mark, by its target's key,, for one standard deviation of it. */
export interface Sensitivity {
  name: string;
  end: Pose;
  marks: ReadonlyMap<string, Pose>;
  /** Of a scatter: which share of the variance of one robot's runs it makes, in x, y and heading. */
  spread?: { end: Pose; marks: ReadonlyMap<string, Pose> };
  /** And the deviation of its logarithm. */
  logSd?: number;
}

/** Each source is tried so many standard deviations to either side: what a loop's period rounds weighs the less. */
const OFF = 2;
/** Pairs of runs with the same luck, by the numbers that no forecast uses. */
const PAIRS = 8;
const FIRST_PAIR = 1_000_000;
/** Runs with a scatter and without it tell its share of their variance. */
const SPREAD_RUNS = 40;

const moved = (plus: Pose, minus: Pose): Pose => ({
  xM: plus.xM - minus.xM,
  yM: plus.yM - minus.yM,
  headingRad: wrap(plus.headingRad - minus.headingRad),
});

const meanOf = (moves: readonly Pose[], per: number): Pose => ({
  xM: moves.reduce((sum, { xM }) => sum + xM, 0) / moves.length / per,
  yM: moves.reduce((sum, { yM }) => sum + yM, 0) / moves.length / per,
  headingRad: moves.reduce((sum, { headingRad }) => sum + headingRad, 0) / moves.length / per,
});

/** Of all targets those that a run came to. */
const comeTo = (targets: readonly Target[], run: SimulatedRun | undefined): Target[] =>
  targets.filter((one) => run !== undefined && atMark(run, one) !== undefined);

/** Of one doubt; null where a run did not get to its end. */
function sensitivityTo(
  doubt: Doubt,
  targets: readonly Target[],
  runOf: (off: number, pair: number) => SimulatedRun,
): Sensitivity | null {
  const pairs = Array.from({ length: PAIRS }, (_, pair) => ({
    plus: runOf(OFF, pair),
    minus: runOf(-OFF, pair),
  }));
  if (pairs.some(({ plus, minus }) => plus.end.failure !== null || minus.end.failure !== null)) {
    return null;
  }
  const movesAt = (target: Target) =>
    pairs.flatMap(({ plus, minus }) => {
      const [a, b] = [atMark(plus, target), atMark(minus, target)];
      return a === undefined || b === undefined ? [] : [moved(a, b)];
    });
  return {
    name: doubt.name,
    end: meanOf(
      pairs.map(({ plus, minus }) => moved(plus.end, minus.end)),
      2 * OFF,
    ),
    marks: new Map(
      comeTo(targets, pairs[0]?.plus).map((one) => [one.key, meanOf(movesAt(one), 2 * OFF)]),
    ),
  };
}

const NOWHERE: Pose = { xM: 0, yM: 0, headingRad: 0 };

/** Which share of the variance of runs a scatter makes, by runs with the same luck that have it and do not. */
function shareOf(withIt: readonly Pose[], without: readonly Pose[]): Pose {
  const effects = withIt.map((pose, i) => moved(pose, without[i] ?? pose));
  const first = withIt[0] ?? NOWHERE;
  const about = withIt.map((pose) => moved(pose, first));
  const share = (of: (pose: Pose) => number): number => {
    const all = sampleSd(about.map(of)) ** 2;
    return all > 0 ? Math.min(1, sampleSd(effects.map(of)) ** 2 / all) : 0;
  };
  return {
    xM: share(({ xM }) => xM),
    yM: share(({ yM }) => yM),
    headingRad: share(({ headingRad }) => headingRad),
  };
}

/** Of a scatter; null where a run did not get to its end. */
function spreadOf(
  { name, sdRobot }: Doubt,
  targets: readonly Target[],
  runOf: (off: number, pair: number) => SimulatedRun,
): Sensitivity | null {
  const runs = Array.from({ length: SPREAD_RUNS }, (_, pair) => ({
    withIt: runOf(0, pair),
    without: runOf(-Infinity, pair),
  }));
  if (
    runs.some(({ withIt, without }) => withIt.end.failure !== null || without.end.failure !== null)
  ) {
    return null;
  }
  const shareAt = (target: Target): Pose => {
    const both = runs.flatMap(({ withIt, without }) => {
      const [a, b] = [atMark(withIt, target), atMark(without, target)];
      return a === undefined || b === undefined ? [] : [[a, b] as const];
    });
    return shareOf(
      both.map(([a]) => a),
      both.map(([, b]) => b),
    );
  };
  return {
    name,
    end: NOWHERE,
    marks: new Map(),
    spread: {
      end: shareOf(
        runs.map(({ withIt }) => withIt.end),
        runs.map(({ without }) => without.end),
      ),
      marks: new Map(comeTo(targets, runs[0]?.withIt).map((one) => [one.key, shareAt(one)])),
    },
    logSd: sdRobot,
  };
}

/**
 * How much each doubt about a robot moves its runs, by pairs of runs with the same luck, of which one is off to one side
 * and one to the other: what is common to both cancels out.
 *
 * Source: central differences with common random numbers (Glasserman, Monte Carlo Methods in Financial Engineering,
 * 2003, section 7.1).
 * @returns null where a run of such a robot stops on its way: then it is no small change
 */
export function sensitivitiesOf(simulation: Simulation): Sensitivity[] | null {
  const { doubts = [], robot, route, table } = simulation;
  const targets = routeTargets(route, table);
  const prepared = prepare(simulation);
  const found: Sensitivity[] = [];
  for (const doubt of doubtsThatTouch(doubts, route, robot)) {
    if (!(doubt.sdRobot > 0) || (doubt.ofScatter === true && !doubt.measured)) continue;
    const robots = new Map(
      [OFF, -OFF, 0, -Infinity].map((off) => [off, robotOffBy(robot, [doubt], () => off)] as const),
    );
    const told = doubt.ofScatter === true ? spreadOf : sensitivityTo;
    const one = told(doubt, targets, (off, pair) => {
      const sampled = robots.get(off) ?? prepared.robotOf(0);
      return simulateRun(simulation, { ...prepared, robotOf: () => sampled }, FIRST_PAIR + pair);
    });
    if (one === null) return null;
    found.push(one);
  }
  return found;
}
