import { number } from '../../../text/quantities';
import type { CalibrationKindOf } from '../../kind';
import type { DriveCalibration } from './schema';

export const drive: CalibrationKindOf<DriveCalibration> = {
  kind: 'drive',
  name: 'track and wheels',
  unit: null,
  measuredBy: { procedure: 'square', words: 'Drive a square' },
  restsOn: ['wheels and track'],
  describe: ({ trackRatio, leftWheelFactor, rightWheelFactor }) =>
    `track × ${number(trackRatio, 4)}, left wheel × ${number(leftWheelFactor, 4)}, right wheel × ${number(rightWheelFactor, 4)}`,
  fit: (robot, { trackRatio, leftWheelFactor, rightWheelFactor }) => ({
    ...robot,
    trackM: robot.trackM * trackRatio,
    errors: {
      ...robot.errors,
      trackScaleError: 0,
      wheelDifference: rightWheelFactor / leftWheelFactor - 1,
    },
  }),
};
