import { judgeGain, wrongSign, type GainJudgement, type Trace } from './judge';

/** Motors, loop and sensor together are this late at most. */
const LATEST_S = 0.25;
/** Steps in which the slowest swing of a late robot is sought, rad/s. */
const RATE_STEP = 0.05;
/** A correction that goes the wrong way for so much of the time does so always. */
const WRONG_SHARE = 0.8;

/**
 * Half a swing that takes longer is none of too strong a gain. A lead a/v turns the phase by atan(ω·a/v) forward,
 * a delay by ω·delay back: only where the delay wins does a stronger gain make it swing on. Slower swings are those
 * of too weak a gain, or of a robot that slips and is not brought back in time.
 *
 * @param leadS a/v: how far the sensor is ahead, in time
 */
function weavesFromS(leadS: number): number | undefined {
  if (leadS <= LATEST_S) return undefined;
  let rate = 1 / leadS;
  while (Math.atan(rate * leadS) > rate * LATEST_S) rate += RATE_STEP;
  return Math.PI / rate;
}

/**
 * Judges the gain of a controller that keeps a distance by turning: to a wall, to a line's edge.
 *
 * The distance follows the heading as the heading follows the gain: y'' = −v·K·(y + a·y'/v), with the speed v and
 * the sensor so far ahead of the axle, a. So the damping is ω·a/(2v): a slow swing is damped by a stronger gain, a
 * fast one by a weaker (delays are then as long as the swing).
 *
 * Source: second-order response, Åström and Murray, Feedback Systems, 2nd ed., 2021, section 7.3.
 * @param towards 1 where too large a reading is to turn it left, −1 right
 * @param leadS a/v where it is known
 * @param limitShare as `JudgedBy` has it
 * @returns null for a trace too short to tell
 */
export function judgeFollowing(
  trace: Trace,
  towards: 1 | -1,
  leadS?: number,
  limitShare?: number,
): GainJudgement | null {
  const works = trace.error.map((off, i) => towards * off * (trace.correction[i] ?? 0));
  const known = works.filter((work) => work !== 0);
  const wrong = known.filter((work) => work < 0).length;
  if (known.length > 0 && wrong > WRONG_SHARE * known.length) {
    // How strong it is cannot be told from a robot that drives off.
    return { ...wrongSign(trace), proposedGainFactor: -1 };
  }
  const together = works.reduce((sum, work) => sum + work, 0);
  return judgeGain(trace, together > 0, {
    order: 2,
    limitShare,
    weavesFromS: leadS === undefined ? undefined : weavesFromS(leadS),
  });
}
