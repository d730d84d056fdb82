import { mean } from './moments';
import { fUpperTail } from './fDistribution';

/** Readings at some settings, beside a curve that was fitted to them. */
export interface Repeated {
  setting: string | number;
  value: number;
  /** Standard deviation of a single reading there, relative to the others; left out: alike. */
  noise?: number;
}

export interface LackOfFit {
  /** Chance that repeats which scatter so would lie about the curve as these do; 1 where nothing can tell. */
  pValue: number;
  /** What the settings' middles are off the curve beyond their repeats: mean square and its degrees of freedom. */
  meanSquare: number;
  degreesOfFreedom: number;
}

/**
 * Whether repeats contradict the curve that was fitted to them: pure error against lack of fit, an F-test.
 *
 * Source: Draper and Smith, Applied Regression Analysis, 3rd ed., 1998, section 2.1.
 * @param residualSumOfSquares of the fit, in units of the noise where that is given
 * @param parameters of the curve
 * @param leastSd what a reading may scatter by without showing it (rounding), in the values' unit
 */
export function lackOfFit(
  readings: readonly Repeated[],
  residualSumOfSquares: number,
  parameters: number,
  leastSd: number,
): LackOfFit {
  const groups = new Map<string | number, Repeated[]>();
  for (const one of readings) {
    groups.set(one.setting, [...(groups.get(one.setting) ?? []), one]);
  }
  const degreesOfFreedom = groups.size - parameters;
  const pure = readings.length - groups.size;
  if (degreesOfFreedom < 1 || pure < 1) return { pValue: 1, meanSquare: 0, degreesOfFreedom };
  let within = 0;
  let least = 0;
  for (const there of groups.values()) {
    const middle = mean(there.map(({ value }) => value));
    for (const { value, noise = 1 } of there) {
      within += ((value - middle) / noise) ** 2;
      least += (leastSd / noise) ** 2 / readings.length;
    }
  }
  const meanSquare = Math.max(0, residualSumOfSquares - within) / degreesOfFreedom;
  const error = Math.max(within / pure, least);
  return {
    pValue: error > 0 ? fUpperTail(meanSquare / error, degreesOfFreedom, pure) : 1,
    meanSquare,
    degreesOfFreedom,
  };
}
