import { wayText } from '../../../light/lineSquaringWords';
import { degrees, headingText } from '../../../text/quantities';
import type { CalibrationKindOf } from '../../kind';
import type { LineSquaringCalibration } from '../../../calibrationValues/lineSquaring';

export const lineSquaring: CalibrationKindOf<LineSquaringCalibration> = {
  kind: 'line-squaring',
  name: 'squaring on a line',
  unit: null,
  measuredBy: { procedure: 'line-square', words: 'Square on a line' },
  restsOn: ['wheels and track', 'motors', 'light sensor'],
  isOnlyTyped: true,
  describe: (value) =>
    `${wayText(value)}, headings scatter by ${degrees(value.headingSdRad, 2)} about ${headingText(value.biasRad)}`,
  fit: (robot) => robot,
};
