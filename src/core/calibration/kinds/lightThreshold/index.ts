import { withDevice } from '../../../devices/ofRobot';
import { lineText } from '../../../light/thresholdWords';
import { meanText } from '../../../text/rawReadings';
import { oneIn } from '../../../text/oneIn';
import type { CalibrationKindOf } from '../../kind';
import type { LightThresholdCalibration } from '../../../calibrationValues/lightThreshold';

const share = (reading: number, full: number): number => Math.min(1, Math.max(0, reading / full));

export const lightThreshold: CalibrationKindOf<LightThresholdCalibration> = {
  kind: 'light-threshold',
  name: 'line and floor',
  unit: 'light sensor',
  measuredBy: { procedure: 'light', words: 'Read line and floor' },
  restsOn: ['light sensor'],
  describe: (value) =>
    [
      `the line at ${lineText(value, value.threshold)} (it reads ${meanText(value.lineReads, value.step)}, the floor ${meanText(value.floorReads, value.step)})`,
      `${oneIn(value.errorRate, 'reading')} wrong`,
      ...(value.venue === '' ? [] : [`at ${value.venue}`]),
    ].join(', '),
  fit: (robot, { unitId, full, lineReads, floorReads, readingSd }) =>
    full === null
      ? robot
      : withDevice(robot, 'light sensor', unitId, {
          lineShare: share(lineReads, full),
          floorShare: share(floorReads, full),
          noiseShare: share(readingSd, full),
        }),
};
