import { wrap } from '../geometry/angle';
import { alongAcross, isInWindow, type Pose } from '../geometry/pose';
import { plannedEnd, planRoute } from '../course/plan';
import { routeTargets } from '../course/routeMissions';
import type { Route } from '../course/route';
import { laidOut } from '../table/laidOut';
import { surfaceName } from '../table/surfaceName';
import type { Table } from '../table/table';
import { isMarkOf, type Target } from '../table/targets';
import { consistency, type Consistency } from '../runs/consistency';
import { doubtsThatTouch } from '../sources/sources';
import { isOwner, type Step } from '../steps/descriptions';
import { kindOfStep } from '../steps/registry';
import { numbered } from '../steps/tree';
import { mean } from '../stats/moments';
import { median } from '../stats/median';
import { wilson } from '../stats/wilson';
import { decisionsOf, type DecisionForecast } from './decisions';
import type { MissionForecast } from './missionForecast';
import { meanRange, type MeanRange } from './meanRange';
import { ownChance, ownEnd, type AtMark } from './ownRuns';
import { robotRange, type RobotRange } from './robotRange';
import type { Sensitivity } from './sensitivities';
import { whatMatters } from './whatMatters';
import { nearestSurface, whyMissed } from './whyMissed';
import { RUNS_PER_ROBOT, type Simulation } from './prepare';
import {
  atMark,
  bestOf,
  neededBefore,
  pointsOf,
  pointsSpread,
  works,
  type PointsShare,
} from './points';
import type { SimulatedRun } from './simulatedRun';

/** What so many simulated runs say about a route. */
export interface Forecast {
  runs: number;
  target: Pose;
  end: Consistency;
  /** Where this very robot's runs end on average: offsets from the plan in the table's frame; null with too few runs. */
  endOfRobot: { xM: MeanRange; yM: MeanRange; headingRad: MeanRange } | null;
  medianTimeS: number;
  missions: MissionForecast[];
  /** Runs in which every mission works; null where there is none. */
  all: RobotRange | null;
  /** What to measure first, by the name of its source; null where nothing unmeasured matters. */
  measureFirst: string | null;
  /** Mean of the points of the missions worked, per run. */
  expectedPoints: number;
  /** How they are spread, from the fewest to the most; and the mean of the best of three, where the best counts. */
  points: PointsShare[];
  bestOfThree: number;
  /** Which lists they took, of the steps that decide. */
  decisions: DecisionForecast[];
  /** Runs that stopped at each step, in the order of the steps; steps that nobody failed are left out. */
  failures: StepFailure[];
}

/** How many runs stopped at a step, and at what most of those that ran into something. */
export interface StepFailure {
  /** Its number in the route: "4.2" is the second within the fourth. */
  step: string;
  runs: number;
  atWall: number;
  wall: string | null;
}

function countFailures(runs: readonly SimulatedRun[], route: Route, table: Table): StepFailure[] {
  return numbered(route.steps).flatMap(({ number: step }) => {
    const ends = runs.map(({ end }) => end).filter(({ failedNumber }) => failedNumber === step);
    if (ends.length === 0) return [];
    const hit = ends.filter(({ failure }) => failure === 'wall');
    const [first] = hit;
    const wall = first === undefined ? null : nearestSurface(laidOut(table).walls, first);
    const met = wall === null ? null : surfaceName(table, wall);
    return [{ step, runs: ends.length, atWall: hit.length, wall: met }];
  });
}

/** Whether a step works a mission, or a part of it. */
function isMarkedAt(step: Step, target: Target): boolean {
  const marked = isOwner(step) ? undefined : kindOfStep(step).marks?.(step);
  return marked !== undefined && isMarkOf(marked, target);
}

/** The values of each sampled robot's runs, summed. */
function sumPerRobot(values: readonly number[], runsEach: number): number[] {
  const sums: number[] = [];
  for (let i = 0; i + runsEach <= values.length; i += runsEach) {
    sums.push(values.slice(i, i + runsEach).reduce((sum, value) => sum + value, 0));
  }
  return sums;
}

/** Where the sampled robots end, by their mean offsets from the plan. */
function endsOfRobots(target: Pose, runs: readonly SimulatedRun[]) {
  const offsets = runs.map(({ end }) =>
    alongAcross({ xM: end.xM - target.xM, yM: end.yM - target.yM }, target.headingRad),
  );
  const ofRobot = (value: (offset: (typeof offsets)[number]) => number) =>
    sumPerRobot(offsets.map(value), RUNS_PER_ROBOT).map((sum) => sum / RUNS_PER_ROBOT);
  return {
    along: ofRobot(({ alongM }) => alongM),
    across: ofRobot(({ acrossM }) => acrossM),
    far: ofRobot(({ alongM, acrossM }) => Math.hypot(alongM, acrossM)),
  };
}

/** Where one robot's runs end on average, in the table's frame, by what runs of many robots have in common. */
function endByRobots(
  target: Pose,
  runs: readonly SimulatedRun[],
  runsEach: number,
): Forecast['endOfRobot'] {
  const of = (value: (end: Pose) => number) =>
    meanRange(
      runs.map(({ end }) => value(end)),
      runsEach,
    );
  const xM = of((end) => end.xM - target.xM);
  const yM = of((end) => end.yM - target.yM);
  const headingRad = of((end) => wrap(end.headingRad - target.headingRad));
  return xM === null || yM === null || headingRad === null ? null : { xM, yM, headingRad };
}

/** Where runs end, against the plan. */
const offsetsFrom = (target: Pose, runs: readonly SimulatedRun[]): Pose[] =>
  runs.map(({ end }) => ({
    xM: end.xM - target.xM,
    yM: end.yM - target.yM,
    headingRad: wrap(end.headingRad - target.headingRad),
  }));

/**
 * Chance per mission, scatter at the end and at each mark, and time, from simulated runs (n ≥ 1).
 *
 * @param sensitivities by which this robot's own chance and end are told apart from others' like it; null: told by what
 * the runs of each sampled robot have in common, which takes many runs
 */
export function forecast(
  simulation: Simulation,
  runs: readonly SimulatedRun[],
  sensitivities: readonly Sensitivity[] | null = null,
): Forecast {
  const { route, robot, table, doubts = [], seed } = simulation;
  const plan = planRoute(route, robot, table);
  const target = plannedEnd(route, plan);
  // A robot that is known exactly is the same one in all runs.
  const runsEach = doubts.length === 0 ? 1 : RUNS_PER_ROBOT;
  // A run that stops on its way is no small change of another.
  const known = runs.every(({ end }) => end.failure === null) ? sensitivities : null;
  const rangeOf = (passed: readonly boolean[], missions: readonly Target[]) =>
    known === null || doubts.length === 0
      ? robotRange(sumPerRobot(passed.map(Number), runsEach), runsEach)
      : ownChance(missions.map(atMarks), known, seed, mean(passed.map(Number)));
  const steps = numbered(route.steps);
  const marks = routeTargets(route, table);
  const atMarks = (mission: Target): AtMark => ({
    key: mission.key,
    poses: runs.flatMap((run) => atMark(run, mission) ?? []),
    works: (pose) => isInWindow(pose, mission.pose, mission.window),
  });
  const missions = marks.flatMap((mission): MissionForecast[] => {
    const passed = runs.map((run) => works(run, mission, marks));
    const chance = wilson(passed.filter(Boolean).length, runs.length);
    if (chance === null) return [];
    const { low, high } = rangeOf(passed, [mission, ...neededBefore(mission, marks)]) ?? {
      low: chance.low95,
      high: chance.high95,
    };
    const poses = runs.flatMap((run) => atMark(run, mission) ?? []);
    const scatter = poses.length === 0 ? null : consistency(mission.pose, poses);
    const step = steps.find((one) => isMarkedAt(one.step, mission))?.number ?? '';
    const why = whyMissed({ mission, chance, low, high, scatter }, step);
    return [{ mission, chance, low, high, scatter, why }];
  });
  const passed = runs.map((run) => marks.every((mission) => works(run, mission, marks)));
  const points = pointsSpread(runs.map((run) => pointsOf(run, marks)));
  return {
    runs: runs.length,
    target,
    end: consistency(
      target,
      runs.map((run) => run.end),
    ),
    endOfRobot:
      known === null || doubts.length === 0
        ? endByRobots(target, runs, runsEach)
        : ownEnd(offsetsFrom(target, runs), known, seed),
    medianTimeS: median(runs.map((run) => run.end.timeS)),
    missions,
    all: marks.length === 0 ? null : rangeOf(passed, marks),
    measureFirst: whatMatters(
      doubtsThatTouch(doubts, route, robot),
      seed,
      endsOfRobots(target, runs),
    ),
    expectedPoints: points.reduce((sum, one) => sum + one.points * one.share, 0),
    points,
    bestOfThree: bestOf(points, 3),
    decisions: decisionsOf(route, runs),
    failures: countFailures(runs, route, table),
  };
}
