import { oneIn } from '../../../text/oneIn';
import type { CalibrationKindOf } from '../../kind';
import type { ColourClassesCalibration } from '../../../calibrationValues/colourClasses';

export const colourClasses: CalibrationKindOf<ColourClassesCalibration> = {
  kind: 'colour-classes',
  name: 'colours',
  unit: 'colour sensor',
  measuredBy: { procedure: 'colours', words: 'Read the colours' },
  restsOn: ['light sensor'],
  isOnlyTyped: true,
  describe: ({ rules, errorHigh95 }) =>
    `${rules.map(({ name }) => name).join(', ')} told apart, at most ${oneIn(errorHigh95, 'reading')} mistaken`,
  fit: (robot) => robot,
};
