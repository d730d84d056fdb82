import { errorLength, number } from '../../../text/quantities';
import type { CalibrationKindOf } from '../../kind';
import type { StraightCalibration } from '../../../calibrationValues/straight';

/** Drives of about this length, where an earlier method does not say. */
const USUAL_DRIVE_M = 0.8;

/** The slip of one wheel that alone would make drives scatter so: of both, half as much in the middle. */
const slipFrom = (scatterM: number, distanceM = USUAL_DRIVE_M): number =>
  (Math.SQRT2 * scatterM) / Math.sqrt(Math.max(0.1, distanceM));

export const straight: CalibrationKindOf<StraightCalibration> = {
  kind: 'straight',
  name: 'straight drives',
  unit: null,
  measuredBy: { procedure: 'straight', words: 'Measure straight drives' },
  restsOn: ['wheels and track'],
  describe: ({ scaleFactor, coastM, play }) =>
    `wheels × ${number(scaleFactor, 4)}${coastM === 0 ? '' : `, ${errorLength(Math.abs(coastM))} ${coastM > 0 ? 'more' : 'less'} at the end of a drive`}${play === undefined ? '' : `, ${errorLength(play.meanM, 1)} less after a drive the other way`}`,
  // Programs compute with the wheel as it truly rolls, and are told less by what it rolls on: then it drives what is wanted.
  fit: (robot, { scaleFactor, coastM, residualSdM, atMid, play, kick }) => ({
    ...robot,
    wheelDiameterM: robot.wheelDiameterM * scaleFactor,
    errors: {
      ...robot.errors,
      wheelScaleError: 0,
      slipMPerSqrtM: Math.min(robot.errors.slipMPerSqrtM, slipFrom(residualSdM, atMid?.distanceM)),
    },
    program: { ...robot.program, coastM },
    measured: {
      ...robot.measured,
      straight: { scatterM: residualSdM },
      reversal: { playM: play?.meanM ?? 0, kickSdRad: kick?.sdRad ?? null },
    },
  }),
};
