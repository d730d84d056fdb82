import { aicc } from '../stats/aicc';
import { voltStepV } from '../stats/instrumentStep';
import { lackOfFit } from '../stats/lackOfFit';
import { linearFit } from '../stats/linearFit';
import { mean } from '../stats/moments';
import { leastScatter, ROUNDING_SD, roundedFit, type RoundedFit } from '../stats/roundedFit';
import { distinct } from './rangeNoise';
import { isBeyond, voltSlope, voltsAt, type BentLaw, type VoltLaw } from '../sensing/voltLaw';

/** What a sensor shows in volts at a distance; null: the echo was lost. */
export interface VoltReading {
  trueM: number;
  readingV: number | null;
}

export interface VoltCurve {
  law: VoltLaw;
  /** Whether the readings could show that it is the other law: not with two distances. */
  isLawShown: boolean;
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

/** A bend wants so many distances; a straight line two. */
const LEAST_BENT = 4;
/** A straight line that the repeats contradict as surely is none. */
const CONTRADICTED = 0.05;
/** Shifts that are tried, m: from just behind the nearest distance to a curve that is as good as straight. */
const LARGEST_SHIFT_M = 20;
const STEPS = 120;
const HALVINGS = 40;

/** How far off one reading's distance is there, by its noise. */
export const voltNoiseM = (curve: VoltCurve, distanceM: number): number =>
  curve.noiseV / Math.abs(voltSlope(curve.law, distanceM));

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
  if (middles.length < 3) return null;
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

/** A law through the readings, with how sure it is. */
interface Fitted {
  law: VoltLaw;
  fit: RoundedFit;
  columns(trueM: number): number[];
  score: number;
}

/** In proportion to the distance. */
function straightFit(heard: readonly Heard[], stepV: number): Fitted | null {
  const columns = (trueM: number) => [1, trueM];
  const fit = roundedFit(
    heard.map(({ trueM }) => columns(trueM)),
    heard.map(({ readingV }) => readingV),
    stepV,
  );
  if (fit === null) return null;
  const [atZeroV = 0, perMV = 0] = fit.coefficients;
  const score = aicc(fit.residualSumOfSquares, heard.length, 2, leastScatter(stepV));
  return { law: { atZeroV, perMV }, fit, columns, score };
}

/** Bent, linearised at the best shift. */
function bentFit(heard: readonly Heard[], stepV: number): Fitted | null {
  const shiftM = bestShift(heard);
  const [baseV = 0, scaleVM = 0] = fitAt(heard, shiftM)?.coefficients ?? [];
  const law: BentLaw = { baseV, scaleVM, shiftM };
  const columns = (trueM: number) => [1, 1 / (trueM + shiftM), voltSlope(law, trueM)];
  const fit = roundedFit(
    heard.map(({ trueM }) => columns(trueM)),
    heard.map(({ trueM, readingV }) => readingV - voltsAt(law, trueM)),
    stepV,
  );
  if (fit === null) return null;
  const score = aicc(fit.residualSumOfSquares, heard.length, 3, leastScatter(stepV));
  return { law, fit, columns, score };
}

/** The law that the readings speak for: the straight one unless a bend explains them better. */
function betterLaw(heard: readonly Heard[]): Fitted | null {
  const stepV = voltStepV(heard.map(({ readingV }) => readingV));
  const count = distinct(heard.map(({ trueM }) => trueM)).length;
  const straight = count < 2 ? null : straightFit(heard, stepV);
  const bent = count < LEAST_BENT ? null : bentFit(heard, stepV);
  // A bend that cannot be told from a straight line is none.
  if (count >= LEAST_BENT) {
    return bent === null || (straight !== null && straight.score <= bent.score) ? straight : bent;
  }
  if (straight === null) return null;
  const repeats = heard.map(({ trueM, readingV }) => ({ setting: trueM, value: readingV }));
  const rounding = Math.max(leastScatter(stepV), ROUNDING_SD * stepV);
  const { pValue } = lackOfFit(repeats, straight.fit.residualSumOfSquares, 2, rounding);
  return pValue < CONTRADICTED ? null : straight;
}

/**
 * The curve of a sensor that shows volts, against a tape: in proportion to the distance, or volts = base +
 * scale / (distance + shift), by least squares in volts, whichever the readings speak for (Akaike's criterion for
 * small samples); near distances at which it folds back are left out, and rounding is reckoned with.
 *
 * Source: the inverse law of triangulating sensors; nonlinear least squares, linearised at the best fit (Seber and
 * Wild, Nonlinear Regression, 1989, section 2.1), the distance's interval by the delta method.
 * @returns null with fewer than two distances or three readings, where the volts hardly change, or where two or three
 * distances contradict a straight line and a bent one needs a fourth
 */
export function voltCurve(readings: readonly VoltReading[]): VoltCurve | null {
  const all = readings.flatMap(({ trueM, readingV }) =>
    readingV === null ? [] : [{ trueM, readingV }],
  );
  const foldsBackBelowM = foldedBelow(all);
  const heard = all.filter(({ trueM }) => trueM >= (foldsBackBelowM ?? 0));
  const distances = distinct(heard.map(({ trueM }) => trueM));
  const found = betterLaw(heard);
  if (found === null || found.fit.degreesOfFreedom < 1) return null;
  const { law, fit, columns } = found;
  const noiseV = fit.scatterSd;
  const [near, far] = [distances[0] ?? 0, distances.at(-1) ?? 0];
  if (Math.abs(voltsAt(law, near) - voltsAt(law, far)) < 4 * noiseV) return null;
  return {
    law,
    isLawShown: distances.length > 2,
    n: heard.length,
    noiseV,
    fromM: near,
    toM: far,
    foldsBackBelowM,
    lostRate: (readings.length - all.length) / readings.length,
    halfWidthM: (trueM) => fit.halfWidth95(columns(trueM)) / Math.abs(voltSlope(law, trueM)),
  };
}

/** What it shows at a distance, as far as the readings tell; beyond them the law is only a guess. */
export const voltsThere = (curve: VoltCurve, distanceM: number) => ({
  distanceM,
  volts: voltsAt(curve.law, distanceM),
  noiseM: voltNoiseM(curve, distanceM),
  halfWidthM: curve.halfWidthM(distanceM),
  isGuess: isBeyond(curve, distanceM),
});
