import type { CalibrationValue } from '../calibration/calibration';
import type { Route } from '../course/route';
import type { Robot } from '../robot';
import { randomStream } from '../simulate/random';
import { DISTANCES } from './distances';
import { HEADINGS } from './headings';
import { GUESSED_KICK_RAD, REVERSALS } from './reversals';
import { SCATTERS } from './scatters';
import type { Doubt, ImaginedRobot, Source } from './source';
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
];

/** How well each source is known of a robot, by the calibrations that hold. */
export const doubtsOf = (values: readonly CalibrationValue[]): Doubt[] =>
  SOURCES.map((source) => ({ name: source.name, ...source.doubt(values) }));

/** Those that change anything about a route on a robot. */
export const doubtsThatTouch = (doubts: readonly Doubt[], route: Route, robot: Robot): Doubt[] =>
  doubts.filter(
    ({ name }) => SOURCES.find((one) => one.name === name)?.touches?.(route, robot) !== false,
  );

/** How far a source is off in an imagined robot, in its standard deviations. */
export const drawn = (name: string, seed: number, robotIndex: number): number =>
  randomStream(seed, robotIndex, `robot: ${name}`).normal();

/** The robot that is imagined under a number: each source off by its own chance. */
export const imaginedRobot = (
  robot: Robot,
  doubts: readonly Doubt[],
  seed: number,
  robotIndex: number,
): ImaginedRobot => robotOffBy(robot, doubts, (name) => drawn(name, seed, robotIndex));

/**
 * A robot whose sources are off by so much.
 *
 * @param off of a source, by its name, in its standard deviations
 */
export function robotOffBy(
  robot: Robot,
  doubts: readonly Doubt[],
  off: (name: string) => number,
): ImaginedRobot {
  const asFitted: ImaginedRobot = {
    robot,
    lateS: 0,
    lateShare: 0,
    rollsOnM: 0,
    stopLateS: 0,
    batteryMoreV: 0,
    atWallRad: 0,
    drivesScatter: 1,
    turnsScatter: 1,
    placingScatter: 1,
    playM: robot.measured.reversal?.playM ?? 0,
    kickSdRad: robot.measured.reversal?.kickSdRad ?? GUESSED_KICK_RAD,
    placed: robot.measured.placed ?? { xM: 0, yM: 0, headingRad: 0 },
  };
  return doubts.reduce((one, doubt) => {
    const { name, sdRobot } = doubt;
    const source = SOURCES.find((each) => each.name === name);
    return source === undefined ? one : source.imagine(one, sdRobot * off(name), doubt);
  }, asFitted);
}
