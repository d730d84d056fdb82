import type { Robot } from '../robot/robot';
import { FLOOR_MIDDLE, OPEN_FLOOR } from '../simulate/floor';
import { createMachine } from '../machine/machine';
import { withHeading } from '../devices/ofRobot';
import { mean, sampleSd } from '../stats/moments';
import { drive } from '../control/drive';
import { rest } from '../control/rest';
import { turn, turnTimeoutS } from '../control/turn';
import type { TurnStrategy } from '../control/turn/schema';

/** What a way of turning comes to on a robot. */
export interface StrategyOutcome {
  school: TurnStrategy;
  meanDurationS: number;
  meanErrorRad: number;
  sdErrorRad: number;
  /** Furthest that the first run went beyond the target on its way. */
  overshootRad: number;
  unsettledShare: number;
  /** True heading of the first run against time. */
  trace: { tS: number; headingRad: number }[];
}

/** Until a turn is measured, the robot has come to rest. */
const MEASURED_AFTER_S = 0.4;

/** The same robot without anything random or systematically wrong: for overshoot by design. */
const exact = (robot: Robot): Robot => ({
  ...withHeading(robot, {
    noiseRadPerSqrtS: 0,
    driftRadPerS: 0,
    driftSdRadPerS: 0,
    scaleError: 0,
    quantumRad: 0,
  }),
  errors: { wheelScaleError: 0, wheelDifference: 0, trackScaleError: 0, slipMPerSqrtM: 0 },
});

/** One simulated turn: how long it took, how far off it ended, and how it went. */
export function turnOnce(
  robot: Robot,
  school: TurnStrategy,
  targetRad: number,
  seed: number,
  run: number,
) {
  const machine = createMachine(robot, OPEN_FLOOR, FLOOR_MIDDLE, seed, run);
  const trace = [{ tS: 0, headingRad: 0 }];
  // Programs do not begin in step with their sensors: wait a part of a period, a different one each time.
  const wait = run % 7;
  for (let i = 0; i < wait; i += 1) machine.advance();
  const startS = machine.readings.timeS;
  const note = () =>
    trace.push({ tS: machine.readings.timeS - startS, headingRad: machine.pose.headingRad });
  const timeoutS = turnTimeoutS(school, targetRad);
  const motion = turn(
    { angleRad: targetRad, how: school, fromReadingRad: null, timeoutS },
    robot.trackM,
  );
  const settled = drive(machine, motion, note) === 'done';
  const durationS = machine.readings.timeS - startS;
  drive(machine, rest(MEASURED_AFTER_S), note);
  const sign = Math.sign(targetRad);
  const beyond = trace.map(({ headingRad }) => sign * (headingRad - targetRad));
  return {
    durationS,
    settled,
    errorRad: sign * (machine.pose.headingRad - targetRad),
    overshootRad: Math.max(0, ...beyond),
    trace,
  };
}

/**
 * Simulate a way of turning many times: how long it takes, how far off it ends, how far apart, and
 * how often it never settles.
 *
 * @param runs at least two
 */
export function simulateStrategy(
  robot: Robot,
  school: TurnStrategy,
  targetRad: number,
  runs: number,
  seed: number,
): StrategyOutcome {
  const outcomes = Array.from({ length: runs }, (_, run) =>
    turnOnce(robot, school, targetRad, seed, run),
  );
  const errors = outcomes.map(({ errorRad }) => errorRad);
  return {
    school,
    meanDurationS: mean(outcomes.map(({ durationS }) => durationS)),
    meanErrorRad: mean(errors),
    sdErrorRad: sampleSd(errors),
    overshootRad: outcomes[0]?.overshootRad ?? 0,
    unsettledShare: outcomes.filter(({ settled }) => !settled).length / runs,
    trace: outcomes[0]?.trace ?? [],
  };
}

type Proportional = Extract<TurnStrategy, { school: 'proportional' }>;

const HIGHEST_GAIN = 30;

/**
 * The largest gain with which a proportional turn still settles and stays within an overshoot, on the
 * robot without scatter; found by halving.
 *
 * @returns null when even a small gain goes further beyond the target
 */
export function suggestGain(
  robot: Robot,
  school: Proportional,
  targetRad: number,
  overshootRad: number,
): number | null {
  const still = exact(robot);
  const fits = (kpPerS: number) => {
    const run = turnOnce(still, { ...school, kpPerS }, targetRad, 1, 0);
    return run.settled && run.overshootRad <= overshootRad;
  };
  let low = 0.5;
  if (!fits(low)) return null;
  let high = HIGHEST_GAIN;
  for (let i = 0; i < 12; i += 1) {
    const middle = (low + high) / 2;
    if (fits(middle)) low = middle;
    else high = middle;
  }
  return low;
}
