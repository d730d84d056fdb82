import type { CalibrationValue } from '../calibration/calibration';
import { calibrationOf } from '../calibration/find';
import type { PlacingCalibration } from '../calibrationValues/placing';
import { radiansFromDegrees as deg } from '../geometry/angle';
import { degrees, errorLength, headingText } from '../text/quantities';
import { guess, type Source } from './source';

/** As the placings tell it, where they were told where the robot should stand. */
const known =
  (of: (aim: NonNullable<PlacingCalibration['aim']>) => number, guessed: number) =>
  (values: readonly CalibrationValue[]) => {
    const aim = calibrationOf(values, 'placing')?.aim ?? null;
    return aim === null ? guess(guessed) : { sdRobot: of(aim), measured: true };
  };

/**
 * Where the start jig truly puts a robot, the same in all its runs. Along its way that is no doubt of its own: it counts
 * as part of how single placings differ.
 */
export const START_JIG: readonly Source[] = [
  {
    name: 'place of the start jig',
    level: 'robot',
    measuredBy: 'placing',
    doubt: known(({ acrossSeM }) => acrossSeM, 0.001),
    figure: ({ measured }) => errorLength(measured.placed?.yM ?? 0, 1),
    within: (half) => `± ${errorLength(half, 1)}`,
    inRuns:
      ({ robot: { measured } }) =>
      (run) => ({
        placed: () => ({
          xM: measured.placed?.xM ?? 0,
          yM: (measured.placed?.yM ?? 0) + run.off,
          headingRad: 0,
        }),
      }),
  },
  {
    name: 'aim of the start jig',
    level: 'robot',
    measuredBy: 'placing',
    doubt: known(({ headingSeRad }) => headingSeRad, deg(0.3)),
    figure: ({ measured }) => headingText(measured.placed?.headingRad ?? 0),
    within: (half) => `± ${degrees(half)}`,
    inRuns:
      ({ robot: { measured } }) =>
      (run) => ({
        placed: () => ({
          xM: 0,
          yM: 0,
          headingRad: (measured.placed?.headingRad ?? 0) + run.off,
        }),
      }),
  },
];
