import type { GainVerdict } from './judge';

/** A gain that was tried, and how it was judged. */
export interface TriedGain {
  gain: number;
  verdict: GainVerdict;
  proposedGainFactor: number;
}

/** The share of a way between two gains that one proposal leaves on either side, so that it gets nearer each time. */
const INSIDE = 1.1;
/** Two gains that are no farther apart than this have met; and then the next is so much stronger. */
const MET = 1.3;
const BEYOND = 3;

/**
 * The gain to try next: what the last trace proposes, but between the strongest that was too weak and the weakest
 * that was too strong, once there are both (their geometric mean). Where these have met and neither is good, beyond
 * them: what follows a line or a wall swings at a weak gain, too.
 *
 * @param tried in the order in which they were tried, at least one
 */
export function nextGain(tried: readonly TriedGain[]): number {
  const last = tried.at(-1);
  if (last === undefined) throw new RangeError('no gain was tried');
  if (last.verdict === 'good') return last.gain;
  const proposed = last.gain * last.proposedGainFactor;
  const sign = Math.sign(proposed) || 1;
  const sizes = (verdict: GainVerdict) =>
    tried
      .filter((one) => one.verdict === verdict && Math.sign(one.gain) === sign)
      .map(({ gain }) => Math.abs(gain));
  const weak = Math.max(0, ...sizes('too-weak'));
  const strong = Math.min(Infinity, ...sizes('too-strong'));
  const size = Math.abs(proposed);
  // Between the two there is nothing left to try: the swings were those of too weak a gain after all.
  if (strong < weak * MET) return sign * Math.max(...sizes('too-strong')) * BEYOND;
  if (weak > 0 && strong < Infinity) {
    const isBetween = size > weak * INSIDE && size < strong / INSIDE;
    return sign * (isBetween ? size : Math.sqrt(weak * strong));
  }
  if (strong < Infinity && size >= strong) return (sign * strong) / 2;
  return proposed;
}
