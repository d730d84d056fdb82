import { incompleteGammaBeyond } from './incompleteGamma';
import { quantileBeyond } from './root';

/** The p-quantile of the χ² distribution (Abramowitz and Stegun 26.4.19). */
export const chiSquareQuantile = (p: number, degreesOfFreedom: number): number =>
  quantileBeyond(
    (x) => incompleteGammaBeyond(degreesOfFreedom / 2, x / 2),
    1 - p,
    degreesOfFreedom,
  );
