import type { TurnSchool } from './schema';
import type { TurnWay } from './way';

/** A proportional turn is given so many of its time constants to come near. */
const TIME_CONSTANTS = 6;
/** A gain near nothing is not waited for any longer. */
const LONGEST_APPROACH_S = 10;

/**
 * P, PD or PID on the angle left, with a least rate (below it motors do not move), a limit on the
 * integral's share, and a test for having settled: near enough and slow enough for long enough.
 *
 * Source: Åström and Murray, Feedback Systems, 2nd ed., 2021, chapter 11 (with conditional integration).
 */
export function proportional(
  school: Extract<TurnSchool, { school: 'proportional' }>,
  targetRad: number,
): TurnWay {
  let integral = 0;
  let before: { timeS: number; gyroRad: number } | undefined;
  let settledSince: number | null = null;
  const approachS = Math.min(LONGEST_APPROACH_S, TIME_CONSTANTS / school.kpPerS);
  return {
    expectedS: Math.abs(targetRad) / school.rateRadPerS + approachS + school.settledS,
    rate: (timeS, gyroRad) => {
      const left = targetRad - gyroRad;
      const dt = before === undefined ? 0 : timeS - before.timeS;
      const rateNow = dt > 0 ? (gyroRad - (before?.gyroRad ?? 0)) / dt : 0;
      before = { timeS, gyroRad };
      const near = Math.abs(left) <= school.settledRad;
      const slow = Math.abs(rateNow) <= school.settledRateRadPerS;
      settledSince = near && slow ? (settledSince ?? timeS) : null;
      if (settledSince !== null && timeS - settledSince >= school.settledS) return null;
      const limit = school.integralLimitRadPerS;
      const without = school.kpPerS * left - school.kd * rateNow;
      // While the rate is at its limit the integral would only wind up.
      if (Math.abs(without + integral) < school.rateRadPerS) {
        integral = Math.max(-limit, Math.min(limit, integral + school.kiPerS2 * left * dt));
      }
      const wanted = without + integral;
      const size = Math.min(school.rateRadPerS, Math.abs(wanted));
      if (near && size < school.leastRateRadPerS) return 0;
      return Math.sign(wanted) * Math.max(size, near ? 0 : school.leastRateRadPerS);
    },
  };
}
