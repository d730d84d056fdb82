import { errorLength, number } from '../../../text/quantities';
import type { CalibrationKindOf } from '../../kind';
import type { StraightCalibration } from './schema';

export const straight: CalibrationKindOf<StraightCalibration> = {
  kind: 'straight',
  name: 'straight drives',
  unit: null,
  measuredBy: { procedure: 'straight', words: 'Measure straight drives' },
  restsOn: ['wheels and track'],
  describe: ({ scaleFactor, coastM }) =>
    `wheels × ${number(scaleFactor, 4)}${coastM === 0 ? '' : `, ${errorLength(Math.abs(coastM))} ${coastM > 0 ? 'more' : 'less'} at the end of a drive`}`,
  // Programs compute with the wheel as it truly rolls, and are told less by what it rolls on: then it drives what is wanted.
  fit: (robot, { scaleFactor, coastM }) => ({
    ...robot,
    wheelDiameterM: robot.wheelDiameterM * scaleFactor,
    errors: { ...robot.errors, wheelScaleError: 0 },
    program: { ...robot.program, coastM },
  }),
};
