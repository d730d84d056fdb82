import { incompleteGammaBeyond } from './incompleteGamma';
import { quantileBeyond } from './root';

/** The p-quantile of the χ² distribution (Abramowitz and Stegun 26.4.19); NaN without degrees of freedom. */
export function chiSquareQuantile(p: number, degreesOfFreedom: number): number {
  if (!(degreesOfFreedom > 0)) return Number.NaN;
  const beyond = (x: number) => incompleteGammaBeyond(degreesOfFreedom / 2, x / 2);
  return quantileBeyond(beyond, 1 - p, degreesOfFreedom);
}
