import type { CalibrationValue } from '../calibration/calibration';
import { calibrationOf } from '../calibration/find';
import type { Route } from '../course/route';
import { batteryShare, onBattery } from '../drive/byPower';
import { tellsTopSpeed } from '../drive/speedOf';
import { radiansFromDegrees as deg } from '../geometry/angle';
import type { Robot } from '../robot';
import { randomStream } from '../simulate/random';
import { GUESSED_GYRO_SCALE } from '../turns/gyroScale';
import { headingOf, lookingAhead, withDistance, withHeading } from '../units/ofRobot';
import { kindOfStep } from '../steps/registry';
import { SCATTERS } from './scatters';
import { START_JIG } from './startJig';
import { guess, withErrors, type Doubt, type ImaginedRobot, type Source } from './source';

/** What a square path leaves open of track and wheels, where its calibration does not say. */
const TRACK_AFTER_SQUARE = 0.004;
const WHEELS_AFTER_SQUARE = 0.0003;
/** What an earlier method claims to know better than this of a scale, it does not. */
const EARLIER_METHOD = 0.003;
/** Of too few turns to tell their scatter. */
const TURNS_SCATTER = deg(1);
/** A sideways pull of 0.5° a metre, as a difference of the wheels over a usual track of 0.13 m. */
const WHEELS_DIFFER = deg(0.5) * 0.13;
/** What a drive by the encoders may roll on by. */
const COAST_M = 0.003;
/** Two degrees at 90°/s, and in proportion to the rate. */
const STOP_S = 2 / 90;

/** Batteries in use differ by so much, V: charged before every other run, say. */
const CHARGE_V = 0.2;
/** What a stop before a wall may be late by: about a period of the sensor. */
const STOP_BY_DISTANCE_S = 0.03;

/** Of what the distance sensor gets wrong nothing is seen where no step goes by it. */
const goesByDistance = ({ steps }: Route): boolean =>
  steps.some((step) => kindOfStep(step).stopsBy !== undefined);

const onRobot = (one: ImaginedRobot, change: (robot: Robot) => Robot): ImaginedRobot => ({
  ...one,
  robot: change(one.robot),
});

/**
 * Everything about a robot that may not be as it is computed with, and how well it is known: the deviations
 * where nobody has measured anything are cautious guesses.
 */
export const SOURCES: readonly Source[] = [
  {
    name: 'wheel size',
    measuredBy: 'straight',
    doubt: (values) => {
      const straight = calibrationOf(values, 'straight');
      if (straight === null) return guess(0.01);
      const { scaleFactorSe, atMid } = straight;
      return atMid === undefined
        ? { sdRobot: Math.max(scaleFactorSe, EARLIER_METHOD), measured: true }
        : { sdRobot: scaleFactorSe, measured: true, aboutM: atMid.distanceM };
    },
    imagine: (one, share, { aboutM = 0 }) =>
      withErrors(
        { ...one, rollsOnM: one.rollsOnM - share * aboutM },
        { wheelScaleError: one.robot.errors.wheelScaleError + share },
      ),
  },
  {
    name: 'coast of drives',
    measuredBy: 'straight',
    touches: ({ steps }) => steps.some((step) => kindOfStep(step).byEncoders?.(step) !== undefined),
    doubt: (values) => {
      const straight = calibrationOf(values, 'straight');
      if (straight === null) return guess(COAST_M);
      return { sdRobot: straight.atMid?.seM ?? straight.residualSdM, measured: true };
    },
    imagine: (one, coastM) => ({ ...one, rollsOnM: one.rollsOnM + coastM }),
  },
  {
    name: 'track width',
    measuredBy: 'square',
    doubt: (values) => {
      const drive = calibrationOf(values, 'drive');
      if (drive === null) return guess(0.02);
      return { sdRobot: drive.trackRatioSe ?? TRACK_AFTER_SQUARE, measured: true };
    },
    imagine: (one, share) =>
      withErrors(one, { trackScaleError: one.robot.errors.trackScaleError + share }),
  },
  {
    name: 'sideways pull',
    measuredBy: 'square',
    doubt: (values) => {
      const drive = calibrationOf(values, 'drive');
      if (drive === null) return guess(WHEELS_DIFFER);
      return { sdRobot: drive.wheelRatioSe ?? WHEELS_AFTER_SQUARE, measured: true };
    },
    imagine: (one, share) =>
      withErrors(one, { wheelDifference: one.robot.errors.wheelDifference + share }),
  },
  {
    name: 'scale of the heading sensor',
    measuredBy: 'turns',
    doubt: (values) => {
      const scale = calibrationOf(values, 'turns')?.gyroScale;
      // By an earlier method, or told by nothing: only the turns are known, and the sensor's scale is not.
      if (calibrationOf(values, 'turns') === null) return guess(GUESSED_GYRO_SCALE);
      if (scale == null) return { ...guess(GUESSED_GYRO_SCALE), turnsAreKnown: true };
      return {
        sdRobot: scale.se,
        measured: scale.by === 'readings',
        ...(scale.by === 'trials' && { turnsAreKnown: true as const }),
      };
    },
    imagine: (one, share, { turnsAreKnown = false }) =>
      onRobot(turnsAreKnown ? { ...one, lateShare: one.lateShare + share } : one, (robot) =>
        withHeading(robot, { scaleError: (headingOf(robot)?.scaleError ?? 0) + share }),
      ),
  },
  {
    name: 'drift',
    measuredBy: 'still',
    doubt: (values) => {
      const drift = calibrationOf(values, 'gyro-drift');
      if (drift === null) return guess(deg(0.02));
      const { low95, high95, nextRunLow95 = low95, nextRunHigh95 = high95 } = drift;
      return { sdRobot: (nextRunHigh95 - nextRunLow95) / (2 * 1.96), measured: true };
    },
    imagine: (one, radPerS) =>
      onRobot(one, (robot) =>
        withHeading(robot, { driftRadPerS: (headingOf(robot)?.driftRadPerS ?? 0) + radPerS }),
      ),
  },
  {
    name: 'turns',
    plural: true,
    measuredBy: 'turns',
    doubt: (values) => {
      const turns = calibrationOf(values, 'turns');
      if (turns === null) return guess(STOP_S);
      // The mean of n turns, over the rate at which they were made.
      const errors = turns.groups.map(
        ({ residualSdRad, meanSeRad, n, rates }) =>
          (meanSeRad ?? (residualSdRad ?? TURNS_SCATTER) / Math.sqrt(n)) / Math.min(...rates),
      );
      return { sdRobot: Math.max(...errors), measured: true };
    },
    imagine: (one, lateS) => ({ ...one, lateS: one.lateS + lateS }),
  },
  {
    name: 'offset of the distance sensor',
    measuredBy: 'range',
    touches: goesByDistance,
    doubt: (values) => {
      const range = calibrationOf(values, 'range');
      if (range === null) return guess(0.005);
      return { sdRobot: range.atMid?.seM ?? range.offsetSeM, measured: true };
    },
    imagine: (one, offsetM) =>
      onRobot(one, (robot) =>
        withDistance(robot, {
          offsetM: (lookingAhead(robot)?.behaviour.offsetM ?? 0) + offsetM,
        }),
      ),
  },
  {
    name: 'scale of the distance sensor',
    measuredBy: 'range',
    touches: goesByDistance,
    doubt: (values) => {
      const range = calibrationOf(values, 'range');
      if (range === null) return guess(0.01);
      const { scaleFactorSe, atMid } = range;
      return {
        sdRobot: scaleFactorSe,
        measured: true,
        ...(atMid !== undefined && { aboutM: atMid.distanceM }),
      };
    },
    imagine: (one, share, { aboutM = 0 }) =>
      onRobot(one, (robot) => {
        const { scale, offsetM } = lookingAhead(robot)?.behaviour ?? { scale: 1, offsetM: 0 };
        return withDistance(robot, {
          scale: scale * (1 + share),
          offsetM: offsetM - scale * share * aboutM,
        });
      }),
  },
  {
    name: 'stops by distance',
    plural: true,
    measuredBy: 'stop',
    touches: goesByDistance,
    doubt: (values) => {
      const stop = calibrationOf(values, 'stop');
      if (stop === null) return guess(STOP_BY_DISTANCE_S);
      const { residualSdM, n, slowestMPerS, lateSeS } = stop;
      return { sdRobot: lateSeS ?? residualSdM / Math.sqrt(n) / slowestMPerS, measured: true };
    },
    imagine: (one, lateS) => ({ ...one, stopLateS: one.stopLateS + lateS }),
  },
  {
    name: 'heading after a wall',
    measuredBy: 'squaring',
    touches: ({ steps }) => steps.some((step) => kindOfStep(step).takesHeading !== undefined),
    doubt: (values) => {
      const squaring = calibrationOf(values, 'squaring');
      if (squaring === null) return guess(deg(0.7));
      return { sdRobot: squaring.headingSdRad / Math.sqrt(squaring.n), measured: true };
    },
    imagine: (one, angleRad) => ({ ...one, atWallRad: one.atWallRad + angleRad }),
  },
  {
    name: 'top speed',
    measuredBy: 'speed',
    doubt: (values) => {
      const speed = calibrationOf(values, 'speed');
      return speed !== null && tellsTopSpeed(speed)
        ? { sdRobot: speed.residualShare, measured: true }
        : guess(0.05);
    },
    imagine: (one, share) =>
      onRobot(one, (robot) => ({
        ...robot,
        motors: { ...robot.motors, maxSpeedMPerS: robot.motors.maxSpeedMPerS * (1 + share) },
      })),
  },
  {
    // One battery does for several runs, as one imagined robot does.
    name: 'charge of the battery',
    measuredBy: null,
    touches: (_route, robot) => batteryShare(onBattery(robot, CHARGE_V)) !== 1,
    doubt: () => guess(CHARGE_V),
    imagine: (one, moreV) => ({ ...one, batteryMoreV: one.batteryMoreV + moreV }),
  },
  ...START_JIG,
  ...SCATTERS,
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
    placed: robot.measured.placed ?? { xM: 0, yM: 0, headingRad: 0 },
  };
  return doubts.reduce((one, doubt) => {
    const { name, sdRobot } = doubt;
    const source = SOURCES.find((each) => each.name === name);
    return source === undefined ? one : source.imagine(one, sdRobot * off(name), doubt);
  }, asFitted);
}
