import { tunedGain } from '../tunedGain';
import type { TurnGainCalibration } from '../../../calibrationValues/gains/turnGain';

export const turnGain = tunedGain<TurnGainCalibration>({
  kind: 'turn-gain',
  name: 'gain of turns',
  controller: 'turn',
  gain: ({ gainPerS }) => gainPerS,
  restsOn: ['wheels and track', 'motors', 'heading sensor'],
});
