import { voltsOrNearer } from '../../../sensing/voltLaw';
import { benchLength, errorLength, number } from '../../../text/quantities';
import { withDevice } from '../../../devices/ofRobot';
import type { CalibrationKindOf } from '../../kind';
import type { RangeCalibration } from '../../../calibrationValues/range';

export const range: CalibrationKindOf<RangeCalibration> = {
  kind: 'range',
  name: 'distance sensor',
  unit: 'distance sensor',
  measuredBy: { procedure: 'range', words: 'Measure against a tape' },
  restsOn: ['distance sensor'],
  describe: ({ offsetM, scaleFactor, noiseM, volts, validFromM, validToM }) =>
    volts !== undefined
      ? `in volts, ${voltsOrNearer(volts, validFromM)} at ${benchLength(validFromM)} and ${voltsOrNearer(volts, validToM)} at ${benchLength(validToM)}`
      : `reads ${errorLength(Math.abs(offsetM), 1)} too ${offsetM < 0 ? 'short' : 'long'}, × ${number(scaleFactor, 3)}, single readings ± ${errorLength(noiseM, 1)}`,
  fit: (
    robot,
    { unitId, offsetM, scaleFactor, noiseM, quantumM, lostRate, volts: law, validFromM, validToM },
  ) =>
    withDevice(
      unitId !== undefined
        ? robot
        : {
            ...robot,
            measured: {
              ...robot.measured,
              volts: law === undefined ? null : { law, fromM: validFromM, toM: validToM },
            },
          },
      'distance sensor',
      unitId,
      {
        offsetM,
        scale: scaleFactor,
        noiseM,
        lostEchoShare: lostRate,
        ...(quantumM !== undefined && quantumM > 0 && { quantumM }),
      },
    ),
};
