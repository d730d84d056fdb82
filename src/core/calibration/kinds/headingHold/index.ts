import { tunedGain } from '../tunedGain';
import type { HeadingHoldCalibration } from '../../../calibrationValues/gains/headingHold';

export const headingHold = tunedGain<HeadingHoldCalibration>({
  kind: 'heading-hold',
  name: 'gain of straight drives',
  controller: 'heading-hold',
  gain: ({ gainMPerSPerRad }) => gainMPerSPerRad,
  restsOn: ['wheels and track', 'motors', 'heading sensor'],
});
