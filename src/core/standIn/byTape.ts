import type { RandomStream } from '../stats/random';

/** As a person reads a tape and a protractor. */
export const byTape = (random: RandomStream) => {
  const halfDegree = Math.PI / 360;
  return {
    toMillimetre: (metres: number) => Math.round(metres * 1000 + 0.7 * random.normal()) / 1000,
    toHalfDegree: (angleRad: number) =>
      Math.round((angleRad + 0.005 * random.normal()) / halfDegree) * halfDegree,
  };
};
