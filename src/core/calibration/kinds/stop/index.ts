import { overrunM } from '../../../control/overrun';
import { benchSpeed, errorLength } from '../../../text/quantities';
import type { CalibrationKindOf } from '../../kind';
import type { StopCalibration } from '../../../calibrationValues/stop';

export const stop: CalibrationKindOf<StopCalibration> = {
  kind: 'stop',
  name: 'stops by distance',
  unit: null,
  measuredBy: { procedure: 'stop', words: 'Measure stops before a wall' },
  restsOn: ['distance sensor', 'motors', 'wheels and track'],
  describe: (value) =>
    `drives on by ${errorLength(overrunM(value, value.fastestMPerS))} at ${benchSpeed(value.fastestMPerS)}, single stops ± ${errorLength(value.residualSdM, 1)}`,
  fit: (robot, { lagS, brakingMPerS2, residualSdM }) => ({
    ...robot,
    measured: { ...robot.measured, stop: { lagS, brakingMPerS2, residualSdM } },
  }),
};
