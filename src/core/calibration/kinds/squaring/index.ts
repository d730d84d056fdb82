import { degrees, number, percent } from '../../../text/quantities';
import type { CalibrationKindOf } from '../../kind';
import type { SquaringCalibration } from '../../../calibrationValues/squaring';

/** Steps press for a while that somebody would type. */
const LEAST_PRESS_S = 0.2;
const MOST_PRESS_S = 10;

export const squaring: CalibrationKindOf<SquaringCalibration> = {
  kind: 'squaring',
  name: 'squaring on a wall',
  unit: null,
  measuredBy: { procedure: 'squaring', words: 'Press against a wall' },
  restsOn: ['wheels and track', 'motors'],
  describe: ({ power, pressS, headingSdRad }) =>
    `pressed with ${percent(power)} for ${number(pressS, 1)} s, headings scatter by ${degrees(headingSdRad, 2)} afterwards`,
  fit: (robot, { speedMPerS, pressS, timeConstantS, headingSdRad }) => ({
    ...robot,
    measured: {
      ...robot.measured,
      squaring: {
        headingSdRad,
        straightensPerM: 1 / (timeConstantS * speedMPerS),
        speedMPerS,
        pressS: Math.min(MOST_PRESS_S, Math.max(LEAST_PRESS_S, pressS)),
      },
    },
  }),
};
