import { number } from '../../../text/quantities';
import { calibrationOf } from '../../find';
import type { CalibrationKindOf } from '../../kind';
import type { DriveCalibration } from '../../../calibrationValues/drive';

export const drive: CalibrationKindOf<DriveCalibration> = {
  kind: 'drive',
  name: 'track and wheels',
  unit: null,
  measuredBy: { procedure: 'square', words: 'Drive a square' },
  restsOn: ['wheels and track'],
  describe: ({ trackRatio, leftWheelFactor, rightWheelFactor }) =>
    `track × ${number(trackRatio, 4)}, left wheel × ${number(leftWheelFactor, 4)}, right wheel × ${number(rightWheelFactor, 4)}`,
  // A square sees the track against the wheels of the record: where those are known better, it is as much larger.
  fit: (robot, { trackRatio, leftWheelFactor, rightWheelFactor }, all) => ({
    ...robot,
    trackM: robot.trackM * trackRatio * (calibrationOf(all, 'straight')?.scaleFactor ?? 1),
    errors: {
      ...robot.errors,
      trackScaleError: 0,
      wheelDifference: rightWheelFactor / leftWheelFactor - 1,
    },
  }),
};
