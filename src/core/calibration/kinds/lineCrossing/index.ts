import { directionText, SEEN_BY } from '../../../light/linePassWords';
import { benchSpeed, errorLength } from '../../../text/quantities';
import type { CalibrationKindOf } from '../../kind';
import type { LineCrossingCalibration } from '../../../calibrationValues/lineCrossing';

export const lineCrossing: CalibrationKindOf<LineCrossingCalibration> = {
  kind: 'line-crossing',
  name: 'stops by a line',
  unit: null,
  measuredBy: { procedure: 'line-speed', words: 'Cross a line' },
  restsOn: ['wheels and track', 'motors', 'light sensor'],
  isOnlyTyped: true,
  describe: ({ by, speedMPerS, overruns }) =>
    `by ${SEEN_BY[by]} at ${benchSpeed(speedMPerS)}: ${overruns
      .map(
        (one) =>
          `${errorLength(one.overM)} ± ${errorLength(one.sdM, 1)} past the edge ${directionText(one)}`,
      )
      .join(', ')}`,
  fit: (robot) => robot,
};
