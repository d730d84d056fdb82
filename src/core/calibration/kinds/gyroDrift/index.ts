import { driftText } from '../../../gyro/driftText';
import { between } from '../../../text/quantities';
import { withDevice } from '../../../devices/ofRobot';
import type { CalibrationKindOf } from '../../kind';
import type { GyroDriftCalibration } from '../../../calibrationValues/gyroDrift';

export const gyroDrift: CalibrationKindOf<GyroDriftCalibration> = {
  kind: 'gyro-drift',
  name: 'gyro drift',
  unit: 'heading sensor',
  measuredBy: { procedure: 'still', words: 'Measure the drift' },
  restsOn: ['heading sensor', 'heading sensor in use'],
  describe: ({ driftRadPerS, low95, high95 }) =>
    `drift ${driftText(driftRadPerS)} (${between(low95, high95).map(driftText).join(' to ')})`,
  fit: (robot, { unitId, driftRadPerS, walkRadPerSqrtS, wanderRadPerS }) =>
    withDevice(robot, 'heading sensor', unitId, {
      driftRadPerS,
      ...(walkRadPerSqrtS != null && { noiseRadPerSqrtS: walkRadPerSqrtS }),
      ...(wanderRadPerS !== undefined && wanderRadPerS > 0 && { driftSdRadPerS: wanderRadPerS }),
    }),
};
