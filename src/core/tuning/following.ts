import { judgeGain, wrongSign, type GainJudgement, type Trace } from './judge';

/** With less damping than this a swing comes of too weak a gain, with more of delays. */
const LEAST_DAMPING = 0.6;
/** A correction that goes the wrong way for so much of the time does so always. */
const WRONG_SHARE = 0.8;

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
 * @returns null for a trace too short to tell
 */
export function judgeFollowing(
  trace: Trace,
  towards: 1 | -1,
  leadS?: number,
): GainJudgement | null {
  const works = trace.error.map((off, i) => towards * off * (trace.correction[i] ?? 0));
  const known = works.filter((work) => work !== 0);
  const wrong = known.filter((work) => work < 0).length;
  if (known.length > 0 && wrong > WRONG_SHARE * known.length) {
    // How strong it is cannot be told from a robot that drives off.
    return { ...wrongSign(trace), proposedGainFactor: -1 };
  }
  const together = works.reduce((sum, work) => sum + work, 0);
  // The damping ω·a/(2v) is less when half a swing, π/ω, takes longer than this.
  const weavesFromS = leadS === undefined ? undefined : (Math.PI * leadS) / (2 * LEAST_DAMPING);
  return judgeGain(trace, together > 0, { order: 2, weavesFromS });
}
