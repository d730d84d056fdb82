import { tunedGain } from '../tunedGain';
import type { WallGainCalibration } from '../../../calibrationValues/gains/wallGain';

export const wallGain = tunedGain<WallGainCalibration>({
  kind: 'wall-gain',
  name: 'gain along a wall',
  controller: 'wall',
  gain: ({ gainRadPerSPerM }) => gainRadPerSPerM,
  restsOn: ['wheels and track', 'motors', 'distance sensor'],
});
