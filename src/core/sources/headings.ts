import { calibrationOf } from '../calibration/find';
import { driftText } from '../gyro/driftText';
import { degreesFromRadians, radiansFromDegrees as deg } from '../geometry/angle';
import { degrees, number } from '../text/quantities';
import { kindOfStep } from '../steps/registry';
import { motionsOf } from '../steps/tree';
import { GUESSED_GYRO_SCALE } from '../turns/gyroScale';
import { headingOf, withHeading } from '../devices/ofRobot';
import { guess, offBy, onRobot, type Source } from './source';
import { turningRateOf } from './uses';

/** Of too few turns to tell their scatter. */
const TURNS_SCATTER = deg(1);
/** Two degrees at 90°/s, and in proportion to the rate. */
const STOP_S = 2 / 90;
/** The rate at which it is told, rad/s. */
const QUARTER_A_SECOND = deg(90);

/** What may be off about how a robot tells where it heads, and how its turns stop. */
export const HEADINGS: readonly Source[] = [
  {
    name: 'scale of the heading sensor',
    level: 'robot',
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
    figure: (robot) => `× ${number(1 + (headingOf(robot)?.scaleError ?? 0), 4)}`,
    within: (half) => `± ${number(100 * half, 2)} %`,
    sample: (one, share, { name, turnsAreKnown = false }) =>
      onRobot(turnsAreKnown ? offBy(one, name, share) : one, (robot) =>
        withHeading(robot, { scaleError: (headingOf(robot)?.scaleError ?? 0) + share }),
      ),
    // Where the turns are known, they go on by that share of their angle.
    inRuns:
      ({ plan }) =>
      (run) => ({ lateRad: (motion) => run.off * Math.abs(plan[motion]?.angleRad ?? 0) }),
  },
  {
    name: 'drift',
    level: 'robot',
    measuredBy: 'still',
    doubt: (values) => {
      const drift = calibrationOf(values, 'gyro-drift');
      if (drift === null) return guess(deg(0.02));
      const { low95, high95, nextRunLow95 = low95, nextRunHigh95 = high95 } = drift;
      return { sdRobot: (nextRunHigh95 - nextRunLow95) / (2 * 1.96), measured: true };
    },
    figure: (robot) => driftText(headingOf(robot)?.driftRadPerS ?? 0),
    within: (half) => `± ${number(degreesFromRadians(half), 3)} °/s`,
    sample: (one, radPerS) =>
      onRobot(one, (robot) =>
        withHeading(robot, { driftRadPerS: (headingOf(robot)?.driftRadPerS ?? 0) + radPerS }),
      ),
  },
  {
    name: 'turns',
    level: 'robot',
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
    figure: () => null,
    within: (half) => `± ${degrees(half * QUARTER_A_SECOND)} at 90°/s`,
    inRuns:
      ({ plan }) =>
      (run) => ({ lateRad: (motion) => run.off * turningRateOf(plan[motion]?.step) }),
  },
  {
    name: 'heading after a wall',
    level: 'robot',
    measuredBy: 'squaring',
    touches: ({ steps }) =>
      motionsOf(steps).some((step) => kindOfStep(step).takesHeading !== undefined),
    doubt: (values) => {
      const squaring = calibrationOf(values, 'squaring');
      if (squaring === null) return guess(deg(0.7));
      return { sdRobot: squaring.headingSdRad / Math.sqrt(squaring.n), measured: true };
    },
    figure: () => null,
    within: (half) => `± ${degrees(half)}`,
    inRuns: () => (run) => ({ takenRad: () => run.off }),
  },
];
