import type { DistanceSensor } from '../../core/robot';

/** What is assumed of a distance sensor that nobody has measured. */
export const NEW_SENSOR: DistanceSensor = {
  aheadM: 0.1,
  leftM: 0,
  beamHalfAngleRad: 0.2,
  minM: 0.03,
  maxM: 2,
  offsetM: 0,
  scale: 1,
  noiseM: 0.003,
  quantumM: 0.001,
  lostEchoShare: 0.01,
  periodS: 0.03,
};
