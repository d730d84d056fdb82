import type { TurnStrategy } from './schema';
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
export const proportional: TurnWay<Extract<TurnStrategy, { school: 'proportional' }>> = {
  expectedS: ({ rateRadPerS, kpPerS, settledS }, targetRad) =>
    Math.abs(targetRad) / rateRadPerS +
    Math.min(LONGEST_APPROACH_S, TIME_CONSTANTS / kpPerS) +
    settledS,
  rate(how, targetRad, kept, timeS, gyroRad) {
    const left = targetRad - gyroRad;
    const { before } = kept;
    const dt = before === null ? 0 : timeS - before.timeS;
    const rateNow = dt > 0 ? (gyroRad - (before?.gyroRad ?? 0)) / dt : 0;
    kept.before = { timeS, gyroRad };
    const near = Math.abs(left) <= how.settledRad;
    const slow = Math.abs(rateNow) <= how.settledRateRadPerS;
    kept.settledSinceS = near && slow ? (kept.settledSinceS ?? timeS) : null;
    if (kept.settledSinceS !== null && timeS - kept.settledSinceS >= how.settledS) return null;
    const limit = how.integralLimitRadPerS;
    const without = how.kpPerS * left - how.kd * rateNow;
    // While the rate is at its limit the integral would only wind up.
    if (Math.abs(without + kept.integralRadPerS) < how.rateRadPerS) {
      const more = kept.integralRadPerS + how.kiPerS2 * left * dt;
      kept.integralRadPerS = Math.max(-limit, Math.min(limit, more));
    }
    const wanted = without + kept.integralRadPerS;
    const size = Math.min(how.rateRadPerS, Math.abs(wanted));
    if (near && size < how.leastRateRadPerS) return 0;
    return Math.sign(wanted) * Math.max(size, near ? 0 : how.leastRateRadPerS);
  },
};
