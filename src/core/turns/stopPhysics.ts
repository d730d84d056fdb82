import type { LinearFit } from '../stats/linearFit';
import { aicc } from '../stats/aicc';
import { ratesTried } from './grouping';
import type { TurnPoint } from './trial';
import { fitErrors } from './weights';

/** Why a turn goes on after the program has said stop: c(ω) = ω·L + ω²/(2a). */
export interface StopPhysics {
  /** L: sensor period, delay and motor lag together; null where it cannot be told. */
  lagS: number | null;
  /** a: how fast the turning is braked; null where it cannot be told. */
  brakingRadPerS2: number | null;
  /** Standard errors, where told. */
  lagSeS: number | null;
  brakingSeRadPerS2: number | null;
}

/** A tenth of a millisecond, and a braking of 5000 rad/s², make no difference that anybody could measure. */
const LEAST_LAG_S = 1e-4;
const LEAST_HALF_INVERSE = 1 / (2 * 5000);

const UNKNOWN: StopPhysics = {
  lagS: null,
  brakingRadPerS2: null,
  lagSeS: null,
  brakingSeRadPerS2: null,
};

/** Fit of the error on ω (lag), ω² (half the inverse braking) and, where wanted, the target (scale). */
function fitTerms(points: readonly TurnPoint[], terms: ('lag' | 'braking' | 'scale')[]) {
  return fitErrors(points, ({ rate, target }) =>
    terms.map((term) => ({ lag: rate, braking: rate * rate, scale: target })[term]),
  );
}

/** The same terms with and without a scale error; the better by AICc. */
function better(points: readonly TurnPoint[], terms: ('lag' | 'braking')[]): LinearFit | null {
  const n = points.length;
  const plain = fitTerms(points, terms);
  const scaled = fitTerms(points, [...terms, 'scale']);
  if (plain === null || scaled === null) return plain ?? scaled;
  const plainScore = aicc(plain.residualSumOfSquares, n, terms.length);
  const scaledScore = aicc(scaled.residualSumOfSquares, n, terms.length + 1);
  return scaledScore < plainScore ? scaled : plain;
}

const standardError = (fit: LinearFit, j: number): number =>
  fit.residualSd * Math.sqrt(fit.unscaledCovariance[j]?.[j] ?? Number.NaN);

/**
 * Lag and braking, fitted jointly over all rates: L ≥ 0 and a > 0. Where the best fit lies outside,
 * the other term is fitted alone and the one at its bound is not told. One rate tells neither.
 *
 * Source: constant deceleration after a delay, ω·L + ω²/(2a); bounded least squares in two unknowns.
 * @param points of one kind of turn, in magnitudes, the drift taken out
 */
export function stopPhysics(points: readonly TurnPoint[]): StopPhysics {
  if (ratesTried(points).length < 2 || points.length < 5) return UNKNOWN;
  const joint = better(points, ['lag', 'braking']);
  const [lag = 0, half = 0] = joint?.coefficients ?? [];
  if (joint === null) return UNKNOWN;
  if (lag >= 0 && half > LEAST_HALF_INVERSE) {
    const braking = 1 / (2 * half);
    return {
      lagS: lag,
      brakingRadPerS2: braking,
      lagSeS: standardError(joint, 0),
      brakingSeRadPerS2: standardError(joint, 1) / (2 * half * half),
    };
  }
  const term = half <= LEAST_HALF_INVERSE ? 'lag' : 'braking';
  const alone = better(points, [term]);
  const value = alone?.coefficients[0] ?? 0;
  const least = term === 'lag' ? LEAST_LAG_S : LEAST_HALF_INVERSE;
  if (alone === null || value <= least) return UNKNOWN;
  const error = standardError(alone, 0);
  return term === 'lag'
    ? { ...UNKNOWN, lagS: value, lagSeS: error }
    : {
        ...UNKNOWN,
        brakingRadPerS2: 1 / (2 * value),
        brakingSeRadPerS2: error / (2 * value * value),
      };
}

/** Whether a turn is too short to reach its rate: it speeds up and brakes within ω²/a. */
export const neverReachesRate = (
  targetRad: number,
  rateRadPerS: number,
  brakingRadPerS2: number | null,
): boolean =>
  brakingRadPerS2 !== null && Math.abs(targetRad) < (rateRadPerS * rateRadPerS) / brakingRadPerS2;
