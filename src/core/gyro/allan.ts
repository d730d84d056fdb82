import { evenHeading, medianPeriod, type HeadingLog } from '../channels/log';

/** Shorter logs say nothing about slow changes. */
export const LEAST_ALLAN_S = 300;

/** Allan deviation at one averaging time. */
export interface AllanPoint {
  tauS: number;
  deviationRadPerS: number;
}

export interface AllanResult {
  points: AllanPoint[];
  /** Angle random walk: the deviation at 1 s on the slope −1/2. */
  randomWalkRadPerSqrtS: number;
  /** σ_min/0.664; null where the minimum is not reached within the trusted times. */
  biasInstabilityRadPerS: number | null;
}

/** Overlapping Allan variance at m periods, from the integrated angle at n + 1 moments. */
function allanVariance(angle: Float64Array, m: number, tauS: number): number {
  const terms = angle.length - 2 * m;
  let sum = 0;
  for (let i = 0; i < terms; i += 1) {
    const second = (angle[i + 2 * m] ?? 0) - 2 * (angle[i + m] ?? 0) + (angle[i] ?? 0);
    sum += second * second;
  }
  return sum / (2 * tauS * tauS * terms);
}

/**
 * Overlapping Allan deviation of a rate log at rest, for averaging times up to a tenth of the log
 * (beyond that there are too few averages to trust).
 *
 * The random walk is the deviation times √τ, in the middle of those times at which that is steady:
 * here the median over times below the minimum. The bias instability is the minimum over 0.664
 * (√(2 ln 2/π)); a minimum at the longest trusted time is not reached.
 * Source: IEEE Std 952-2020, annex C.
 * @param rateRadPerS rates at equal periods
 */
export function allanDeviation(rateRadPerS: Float64Array, periodS: number): AllanResult {
  const angle = new Float64Array(rateRadPerS.length + 1);
  rateRadPerS.forEach((rate, i) => {
    angle[i + 1] = (angle[i] ?? 0) + rate * periodS;
  });
  return summary(pointsOf(angle, periodS));
}

/** Rounding may make up so much of the Allan variance of a heading that is still told. */
const MOST_ROUNDING = 0.25;

/**
 * Overlapping Allan deviation of the drift from a heading log at rest, at the averaging times at which
 * rounding to the reading's step (variance step²/(4τ²)) does not matter.
 *
 * @returns null where rounding hides all of it
 */
export function allanOfHeading(log: HeadingLog, quantumRad: number): AllanResult | null {
  const periodS = medianPeriod(log.tS);
  if (periodS <= 0) return null;
  const angle = evenHeading(log, { from: 0, to: log.tS.length }, periodS);
  const points = pointsOf(angle, periodS).filter(
    ({ tauS, deviationRadPerS }) =>
      quantumRad ** 2 / (4 * tauS * tauS) <= MOST_ROUNDING * deviationRadPerS ** 2,
  );
  return points.length < 3 ? null : summary(points);
}

/** Deviations at averaging times that grow by about a third, up to a tenth of the log. */
function pointsOf(angle: Float64Array, periodS: number): AllanPoint[] {
  const points: AllanPoint[] = [];
  const longest = (angle.length - 1) / 10;
  for (let exact = 1; exact <= longest; exact *= 1.35) {
    const m = Math.round(exact);
    const tauS = m * periodS;
    if (points.at(-1)?.tauS === tauS) continue;
    points.push({ tauS, deviationRadPerS: Math.sqrt(allanVariance(angle, m, tauS)) });
  }
  return points;
}

function summary(points: AllanPoint[]): AllanResult {
  const deviations = points.map((point) => point.deviationRadPerS);
  const lowest = deviations.indexOf(Math.min(...deviations));
  const steady = points
    .slice(0, Math.max(1, Math.ceil(lowest * 0.6)))
    .map(({ tauS, deviationRadPerS }) => deviationRadPerS * Math.sqrt(tauS))
    .sort((a, b) => a - b);
  const minimum = deviations[lowest] ?? 0;
  return {
    points,
    randomWalkRadPerSqrtS: steady[steady.length >> 1] ?? 0,
    biasInstabilityRadPerS:
      lowest >= 0 && lowest < points.length - 1
        ? minimum / Math.sqrt((2 * Math.LN2) / Math.PI)
        : null,
  };
}
