import { counted } from '../../../text/quantities';
import { gainText } from '../../../tuning/controllers/shown';
import type { CalibrationKindOf } from '../../kind';
import type { HeadingHoldCalibration } from './schema';

export const headingHold: CalibrationKindOf<HeadingHoldCalibration> = {
  kind: 'heading-hold',
  name: 'gain of straight drives',
  unit: null,
  measuredBy: { procedure: 'gains', words: 'Tune the gain' },
  restsOn: ['wheels and track', 'motors', 'heading sensor'],
  describe: ({ gainMPerSPerRad, looks }) =>
    `${gainText('heading-hold', gainMPerSPerRad)}, found good by ${counted(looks, 'look')}`,
  fit: (robot, { gainMPerSPerRad }) => ({
    ...robot,
    measured: { ...robot.measured, headingGainMPerSPerRad: gainMPerSPerRad },
  }),
};
