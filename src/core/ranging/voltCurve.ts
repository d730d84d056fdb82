import { linearFit } from '../stats/linearFit';
import { mean } from '../stats/moments';
import { student975 } from '../stats/student';
import { distinct } from './rangeNoise';
import { voltSlope, voltsAt, type VoltLaw } from './voltLaw';

/** What a sensor shows in volts at a distance; null: the echo was lost. */
export interface VoltReading {
  trueM: number;
  readingV: number | null;
}

export interface VoltCurve extends VoltLaw {
  n: number;
  /** Scatter of single readings about the curve. */
  noiseV: number;
  /** Where the curve was measured. */
  fromM: number;
  toM: number;
  /** Nearer than this it shows again what it shows farther away; null where that was not seen. */
  foldsBackBelowM: number | null;
  lostRate: number;
  /** How sure the curve's own distance is there: half of its 95 % interval. */
  halfWidthM(trueM: number): number;
}

const LEAST_DISTANCES = 4;
/** Shifts that are tried, m: from just behind the nearest distance to a curve that is as good as straight. */
const LARGEST_SHIFT_M = 20;
const STEPS = 120;
const HALVINGS = 40;

/** How far off one reading's distance is there, by its noise. */
export const voltNoiseM = (curve: VoltCurve, distanceM: number): number =>
  curve.noiseV / Math.abs(voltSlope(curve, distanceM));

interface Heard {
  trueM: number;
  readingV: number;
}

/** Near distances at which it runs the other way than farther off: there it folds back. */
function foldedBelow(heard: readonly Heard[]): number | null {
  const distances = distinct(heard.map(({ trueM }) => trueM));
  const middles = distances.map((at) =>
    mean(heard.filter(({ trueM }) => trueM === at).map(({ readingV }) => readingV)),
  );
  const far = Math.floor(middles.length / 2);
  const way = Math.sign((middles.at(-1) ?? 0) - (middles[far] ?? 0));
  let from = 0;
  for (let i = far; i > 0; i -= 1) {
    if (Math.sign((middles[i] ?? 0) - (middles[i - 1] ?? 0)) !== way) {
      from = i;
      break;
    }
  }
  return from === 0 ? null : (distances[from] ?? null);
}

const fitAt = (heard: readonly Heard[], shiftM: number) =>
  linearFit(
    heard.map(({ trueM }) => [1, 1 / (trueM + shiftM)]),
    heard.map(({ readingV }) => readingV),
  );

/** The shift with the least squares of what is left: a look at all, then ever closer around the best. */
function bestShift(heard: readonly Heard[]): number {
  const nearest = Math.min(...heard.map(({ trueM }) => trueM));
  const least = 0.02 * nearest;
  const shiftOf = (i: number) =>
    least * ((LARGEST_SHIFT_M + nearest) / least) ** (i / STEPS) - nearest;
  const misfit = (i: number) => fitAt(heard, shiftOf(i))?.residualSumOfSquares ?? Infinity;
  let best = 0;
  for (let i = 1; i <= STEPS; i += 1) if (misfit(i) < misfit(best)) best = i;
  let [low, high] = [Math.max(0, best - 1), Math.min(STEPS, best + 1)];
  for (let i = 0; i < HALVINGS; i += 1) {
    const [a, b] = [low + (high - low) / 3, high - (high - low) / 3];
    if (misfit(a) < misfit(b)) high = b;
    else low = a;
  }
  return shiftOf((low + high) / 2);
}

/**
 * The curve of a sensor that shows volts, against a tape: volts = base + scale / (distance + shift), by least squares
 * in volts; near distances at which it folds back are left out.
 *
 * Source: the inverse law of triangulating sensors; nonlinear least squares, linearised at the best fit (Seber and
 * Wild, Nonlinear Regression, 1989, section 2.1), the distance's interval by the delta method.
 * @returns null with fewer than four distances, or where the volts hardly change
 */
export function voltCurve(readings: readonly VoltReading[]): VoltCurve | null {
  const all = readings.flatMap(({ trueM, readingV }) =>
    readingV === null ? [] : [{ trueM, readingV }],
  );
  const foldsBackBelowM = foldedBelow(all);
  const heard = all.filter(({ trueM }) => trueM >= (foldsBackBelowM ?? 0));
  const distances = distinct(heard.map(({ trueM }) => trueM));
  if (distances.length < LEAST_DISTANCES) return null;
  const shiftM = bestShift(heard);
  const fit = fitAt(heard, shiftM);
  const degreesOfFreedom = heard.length - 3;
  if (fit === null || degreesOfFreedom < 1) return null;
  const [baseV = 0, scaleVM = 0] = fit.coefficients;
  const law = { baseV, scaleVM, shiftM };
  const noiseV = Math.sqrt(fit.residualSumOfSquares / degreesOfFreedom);
  const columns = (trueM: number) => [1, 1 / (trueM + shiftM), voltSlope(law, trueM)];
  // A unit noise through the linearised curve: only its covariance is asked for.
  const linear = linearFit(
    heard.map(({ trueM }) => columns(trueM)),
    heard.map(() => 0),
  );
  const [near, far] = [distances[0] ?? 0, distances.at(-1) ?? 0];
  if (linear === null || Math.abs(voltsAt(law, near) - voltsAt(law, far)) < 4 * noiseV) return null;
  return {
    ...law,
    n: heard.length,
    noiseV,
    fromM: near,
    toM: far,
    foldsBackBelowM,
    lostRate: (readings.length - all.length) / readings.length,
    halfWidthM(trueM) {
      const at = columns(trueM);
      const variance = at.reduce(
        (sum, x, i) =>
          sum + at.reduce((s, y, j) => s + x * y * (linear.unscaledCovariance[i]?.[j] ?? 0), 0),
        0,
      );
      const half = student975(degreesOfFreedom) * noiseV * Math.sqrt(variance);
      return half / Math.abs(voltSlope(law, trueM));
    },
  };
}
