import { errorLength, number } from '../../../text/quantities';
import { withFirst } from '../../../units/ofRobot';
import type { CalibrationKindOf } from '../../kind';
import type { RangeCalibration } from './schema';

export const range: CalibrationKindOf<RangeCalibration> = {
  kind: 'range',
  name: 'distance sensor',
  unit: 'distance sensor',
  measuredBy: { procedure: 'range', words: 'Measure against a tape' },
  restsOn: ['distance sensor'],
  describe: ({ offsetM, scaleFactor, noiseM }) =>
    `reads ${errorLength(Math.abs(offsetM), 1)} too ${offsetM < 0 ? 'short' : 'long'}, × ${number(scaleFactor, 3)}, single readings ± ${errorLength(noiseM, 1)}`,
  fit: (robot, { offsetM, scaleFactor, noiseM, lostRate }) =>
    withFirst(robot, 'distance sensor', {
      offsetM,
      scale: scaleFactor,
      noiseM,
      lostEchoShare: lostRate,
    }),
};
