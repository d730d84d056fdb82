import { tunedGain } from '../tunedGain';
import type { LineGainCalibration } from '../../../calibrationValues/gains/lineGain';

export const lineGain = tunedGain<LineGainCalibration>({
  kind: 'line-gain',
  name: 'gain along a line',
  controller: 'line',
  gain: ({ gainRadPerSPerShare }) => gainRadPerSPerShare,
  restsOn: ['wheels and track', 'motors', 'light sensor'],
});
