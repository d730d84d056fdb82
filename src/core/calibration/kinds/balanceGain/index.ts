import { tunedGain } from '../tunedGain';
import type { BalanceGainCalibration } from '../../../calibrationValues/gains/balanceGain';

export const balanceGain = tunedGain<BalanceGainCalibration>({
  kind: 'balance-gain',
  name: 'gain of drives by the encoders',
  controller: 'balance',
  gain: ({ gainPerS }) => gainPerS,
  restsOn: ['wheels and track', 'motors'],
});
