import { planRoute, type PlannedStep } from '../course/plan';
import type { Route } from '../course/route';
import type { TurnsCalibration } from '../calibrationValues/turns';
import { asMounted } from '../robot/mounting';
import type { Robot } from '../robot/robot';
import { allInRun, type AllInRun, type InRun, type OneRun } from '../sources/inRun';
import type { Doubt, SampledRobot } from '../sources/source';
import { ERRORS, sampledRobot, type ErrorTimes } from '../sources/sources';
import { randomStream } from '../stats/random';
import type { Table } from '../table/table';

/** What is simulated: which robot drives which route on which table. */
export interface Simulation {
  robot: Robot;
  table: Table;
  route: Route;
  seed: number;
  /** What was measured of its turns; without it they follow the robot's physics alone. */
  turns?: TurnsCalibration | null;
  /** What is not known about the robot; without it the robot is taken to be as it is computed with. */
  doubts?: readonly Doubt[];
  /** What the program does with its heading before each turn and drive; without it headings are counted on. */
  headings?: Headings;
  /** The answers that its questions are given, whatever it finds, by the numbers of their steps; left out: none is. */
  ledBy?: readonly { number: string; answer: string }[];
  /** So many times as much of some errors, by their names; as they are where it is left out. */
  times?: ErrorTimes;
}

/** Counted on from the start, or set to 0 each time: then what is left over of the motions before is forgotten. */
export type Headings = 'counted on' | 'zeroed each time';

/** With doubts, so many runs one after the other are of the same sampled robot. */
export const RUNS_PER_ROBOT = 4;

/** What follows from one series of answers to the questions of a route: its plan, and how errors act on it. */
export interface Way {
  plan: PlannedStep[];
  errors: { name: string; begin(run: OneRun): InRun }[];
}

/** What all runs of a simulation share. */
export interface Prepared {
  /** Of these answers, further ones as they usually are. */
  wayOf(answers: readonly string[]): Way;
  /** The robot of a run: so many runs each have one of their own. */
  robotOf(runIndex: number): SampledRobot;
}

/** Each value of a function is computed once. */
function once<K extends string | number, V>(compute: (key: K) => V): (key: K) => V {
  const known = new Map<K, V>();
  return (key) => {
    const value = known.get(key) ?? compute(key);
    known.set(key, value);
    return value;
  };
}

const BETWEEN = '\n';

/**
 * What all runs of a simulation share.
 *
 * @param planOf the plan by some answers, where it is not that of the robot that drives
 */
export function prepare(
  simulation: Simulation,
  planOf = (answers: readonly string[]): PlannedStep[] =>
    planRoute(simulation.route, simulation.robot, simulation.table, answers),
): Prepared {
  const { robot, route, turns = null, doubts = [], seed, times } = simulation;
  const mounted = asMounted(robot, route);
  const sampled = once((index: number) => sampledRobot(mounted, doubts, seed, index, times));
  const ways = once((answers: string): Way => {
    const plan = planOf(answers === '' ? [] : answers.split(BETWEEN));
    const errors = ERRORS.flatMap(({ name, inRuns }) =>
      inRuns === undefined ? [] : [{ name, begin: inRuns({ plan, robot, route, turns }) }],
    );
    return { plan, errors };
  });
  return {
    wayOf: (answers) => ways(answers.join(BETWEEN)),
    robotOf: (runIndex) => sampled(Math.floor(runIndex / RUNS_PER_ROBOT)),
  };
}

/** A moment of a run at which errors are asked what they do. */
type Asked = [what: 'kickRad' | 'pushedM' | 'lateRad' | 'lateM' | 'takenRad', motion: number];

/** What all errors do to one run of a robot. */
function errorsIn(
  { seed, times = {} }: Simulation,
  { errors }: Way,
  { robot, off }: SampledRobot,
  runIndex: number,
): AllInRun {
  return allInRun(
    errors.map(({ name, begin }) =>
      begin({
        robot,
        off: off[name] ?? 0,
        times: times[name] ?? 1,
        random: (stream) => randomStream(seed, runIndex, stream),
      }),
    ),
  );
}

/** The errors of a run on its way, which may turn out to be another than was planned. */
export interface ErrorsOnWay {
  moreV: number;
  placed: AllInRun['placed'];
  /** What one of them comes to at a motion. */
  at(...asked: Asked): number;
  /** The run goes another way from here on: what was drawn so far stays as it was. */
  turnTo(way: Way): void;
}

export function errorsOnWay(
  simulation: Simulation,
  way: Way,
  sampled: SampledRobot,
  runIndex: number,
): ErrorsOnWay {
  let errors = errorsIn(simulation, way, sampled, runIndex);
  const asked: Asked[] = [];
  const draw = ([what, motion]: Asked) => errors[what](motion);
  return {
    moreV: errors.moreV,
    placed: () => errors.placed(),
    at(...one) {
      asked.push(one);
      return draw(one);
    },
    turnTo(other) {
      errors = errorsIn(simulation, other, sampled, runIndex);
      errors.placed();
      asked.forEach(draw);
    },
  };
}
