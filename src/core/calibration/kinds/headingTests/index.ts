import { headingTestsText } from '../../../gyro/headingTestsText';
import type { CalibrationKindOf } from '../../kind';
import type { HeadingTestsCalibration } from '../../../calibrationValues/headingTests';

export const headingTests: CalibrationKindOf<HeadingTestsCalibration> = {
  kind: 'heading-tests',
  name: 'three tests of the heading',
  unit: 'heading sensor',
  measuredBy: { procedure: 'heading-tests', words: 'Test the heading' },
  restsOn: ['heading sensor', 'heading sensor in use'],
  isOnlyTyped: true,
  describe: headingTestsText,
  fit: (robot) => robot,
};
