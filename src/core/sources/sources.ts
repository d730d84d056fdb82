import type { CalibrationValue } from '../calibration/calibration';
import type { Route } from '../course/route';
import type { Robot } from '../robot/robot';
import { randomStream } from '../stats/random';
import { DISTANCES } from './distances';
import { HEADINGS } from './headings';
import { IN_THE_ROBOT } from './inTheRobot';
import { LIGHT } from './light';
import { LINES } from './lines';
import { MISSIONS } from './missions';
import { REVERSALS } from './reversals';
import { SCATTER_AT_WALLS, SCATTER_OF_STOPS, SCATTERS } from './scatters';
import { offBy, type Doubt, type SampledRobot, type NamedError, type Source } from './source';
import { START_JIG } from './startJig';
import { WHEELS } from './wheels';

/**
 * Everything about a robot that may not be as it is computed with, and how well it is known: the deviations
 * where nobody has measured anything are cautious guesses.
 */
export const SOURCES: readonly Source[] = [
  ...WHEELS,
  ...HEADINGS,
  ...DISTANCES,
  ...START_JIG,
  ...SCATTERS,
  ...REVERSALS,
  ...LIGHT,
  ...LINES,
  ...MISSIONS,
];

/** All that makes runs differ from the plan: what is doubtful, and what is taken as it was found or told. */
export const ERRORS: readonly NamedError[] = [
  ...SOURCES,
  SCATTER_OF_STOPS,
  SCATTER_AT_WALLS,
  ...IN_THE_ROBOT,
];

/** So many times as much of some errors, by their names: 0 is none of it; 1 where it is left out. */
export type ErrorTimes = Readonly<Record<string, number>>;

/** How well each source is known of a robot, by the calibrations that hold. */
export const doubtsOf = (values: readonly CalibrationValue[]): Doubt[] =>
  SOURCES.map((source) => ({ name: source.name, ...source.doubt(values) }));

/** Those that change anything about a route on a robot. */
export const doubtsThatTouch = (doubts: readonly Doubt[], route: Route, robot: Robot): Doubt[] =>
  doubts.filter(
    ({ name }) => SOURCES.find((one) => one.name === name)?.touches?.(route, robot) !== false,
  );

/** How far a source is off in a sampled robot, in its standard deviations. */
export const drawn = (name: string, seed: number, robotIndex: number): number =>
  randomStream(seed, robotIndex, `robot: ${name}`).normal();

/** The robot that is sampled under a number: each source off by its own chance. */
export const sampledRobot = (
  robot: Robot,
  doubts: readonly Doubt[],
  seed: number,
  robotIndex: number,
  times: ErrorTimes = {},
): SampledRobot => {
  // Of a scatter, how well it is known stays as it is: what it does in a run is multiplied there.
  const scatters = new Set(doubts.filter((one) => one.ofScatter).map(({ name }) => name));
  const off = (name: string) =>
    (scatters.has(name) ? 1 : (times[name] ?? 1)) * drawn(name, seed, robotIndex);
  const one = robotOffBy(robot, doubts, off);
  return { ...one, robot: withTimes(one.robot, times) };
};

/** A robot with so many times as much of the errors that are part of it. */
const withTimes = (robot: Robot, times: ErrorTimes): Robot =>
  ERRORS.reduce((one, error) => {
    const many = times[error.name];
    return many === undefined || error.times === undefined ? one : error.times(one, many);
  }, robot);

/**
 * A robot whose sources are off by so much.
 *
 * @param off of a source, by its name, in its standard deviations
 */
export function robotOffBy(
  robot: Robot,
  doubts: readonly Doubt[],
  off: (name: string) => number,
): SampledRobot {
  return doubts.reduce(
    (one: SampledRobot, doubt) => {
      const { name, sdRobot } = doubt;
      const deviation = sdRobot * off(name);
      const source = SOURCES.find((each) => each.name === name);
      if (source === undefined) return one;
      return source.sample?.(one, deviation, doubt) ?? offBy(one, name, deviation);
    },
    { robot, off: {} },
  );
}
