/** How much later one signal tells of a motion than another. */
export interface SensorLag {
  /** Positive: the heading comes after the encoders. */
  lagS: number;
  /** Of the two at that lag. */
  correlation: number;
}

/** Further apart than that no two sensors of a robot are. */
const MOST_S = 0.5;
/** Rates are taken over so long. */
const OVER_S = 0.2;
/** Less alike than that they do not tell of the same motion. */
const LEAST_ALIKE = 0.6;

/** Values at moments a step apart, by linear interpolation. */
function resampled(tS: ArrayLike<number>, values: ArrayLike<number>, stepS: number, n: number) {
  let at = 0;
  return Array.from({ length: n }, (_, i) => {
    const t = (tS[0] ?? 0) + i * stepS;
    while (at < tS.length - 2 && (tS[at + 1] ?? Infinity) <= t) at += 1;
    const [t0 = 0, t1 = 0] = [tS[at], tS[at + 1]];
    const [v0 = 0, v1 = 0] = [values[at], values[at + 1]];
    return t1 > t0 ? v0 + ((v1 - v0) * (t - t0)) / (t1 - t0) : v0;
  });
}

/** Rates over some steps: readings in whole degrees jump from one step to the next. */
const ratesOver = (values: readonly number[], steps: number) =>
  values.slice(steps).map((value, i) => value - (values[i] ?? value));

function correlation(a: readonly number[], b: readonly number[], shift: number): number {
  let [ab, aa, bb] = [0, 0, 0];
  for (let i = Math.max(0, -shift); i < a.length && i + shift < b.length; i += 1) {
    const [x = 0, y = 0] = [a[i], b[i + shift]];
    ab += x * y;
    aa += x * x;
    bb += y * y;
  }
  return aa > 0 && bb > 0 ? ab / Math.sqrt(aa * bb) : 0;
}

/**
 * How much later the heading sensor tells of a turn than the encoders: the shift at which the rates of both are most
 * alike, refined by a parabola through its neighbours.
 *
 * Source: time delay by the peak of the cross-correlation (Knapp and Carter, IEEE Trans. ASSP 24, 1976), with
 * parabolic interpolation of the peak.
 * @param headingRad counted on over full turns, left positive
 * @param encoderRad the heading by the encoders, in the same direction; only its course counts, not its size
 * @returns null where the robot did not turn, or the two do not tell of the same motion
 */
export function sensorLag(
  tS: ArrayLike<number>,
  headingRad: ArrayLike<number>,
  encoderRad: ArrayLike<number>,
  periodS: number,
): SensorLag | null {
  const seconds = (tS[tS.length - 1] ?? 0) - (tS[0] ?? 0);
  const n = Math.floor(seconds / periodS);
  const most = Math.min(Math.round(MOST_S / periodS), Math.floor(n / 4));
  if (!(periodS > 0) || most < 1) return null;
  const over = Math.max(1, Math.round(OVER_S / periodS));
  const heading = ratesOver(resampled(tS, headingRad, periodS, n), over);
  const encoders = ratesOver(resampled(tS, encoderRad, periodS, n), over);
  const at = (shift: number) => correlation(encoders, heading, shift);
  let best = 0;
  for (let shift = -most; shift <= most; shift += 1) if (at(shift) > at(best)) best = shift;
  const [before, peak, after] = [at(best - 1), at(best), at(best + 1)];
  // The best at the edge is on the way to somewhere else: no peak.
  if (peak < LEAST_ALIKE || Math.abs(best) === most) return null;
  const bend = before - 2 * peak + after;
  const between = bend < 0 ? (before - after) / (2 * bend) : 0;
  return { lagS: (best + between) * periodS, correlation: peak };
}
