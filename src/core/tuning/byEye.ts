/** How a robot looked that was pushed: it came back too slowly, well, by jerks, or went off the wrong way. */
export const SEEN = ['too slow', 'good', 'too jerky', 'wrong way'] as const;

export type SeenGain = (typeof SEEN)[number];

/** A gain that was tried, and how it looked. */
export interface GainLook {
  gain: number;
  seen: SeenGain;
}

export interface EyeAdvice {
  /** The gain to try next, or to keep. */
  gain: number;
  /** How likely it is that this gain is a good one. */
  chance: number;
  /** It was seen to be good, and nothing better is to be expected of another look. */
  isFound: boolean;
}

/** An eye is right in so many looks; else it says any of the others. */
const RIGHT = 0.85;
const WRONG = (1 - RIGHT) / (SEEN.length - 1);
/** The middle of the good gains lies within this factor of the first that was tried, and likelier near it. */
const REACH = 200;
const STEPS = 120;
/** Good gains reach so far to either side of their middle, each held equally likely beforehand. */
const HALF_WIDTHS = [1.6, 2.5, 4].map(Math.log);
/** Held beforehand: most programs have the sign right. */
const SIGN_RIGHT = 0.8;
/** So likely a gain that was seen to be good is kept, and so likely it is looked at once more. */
const SURE = 0.95;
const LIKELY = 0.5;

/** What may be true: which sign is right, the middle of the good gains and how far they reach. */
interface Hypothesis {
  sign: number;
  middle: number;
  halfWidth: number;
  weight: number;
}

function isSeen({ sign, middle, halfWidth }: Hypothesis, gain: number): SeenGain {
  if (Math.sign(gain) !== sign) return 'wrong way';
  const off = Math.log(Math.abs(gain)) - middle;
  if (off < -halfWidth) return 'too slow';
  return off > halfWidth ? 'too jerky' : 'good';
}

function beforehand(first: number): Hypothesis[] {
  const around = Math.log(Math.abs(first));
  const reach = Math.log(REACH);
  return [1, -1].flatMap((same) =>
    HALF_WIDTHS.flatMap((halfWidth) =>
      Array.from({ length: STEPS + 1 }, (_, i) => {
        const off = (2 * i) / STEPS - 1;
        const near = 1 - Math.abs(off) / (1 + 1 / STEPS);
        return {
          sign: same * Math.sign(first),
          middle: around + reach * off,
          halfWidth,
          weight: near * (same === 1 ? SIGN_RIGHT : 1 - SIGN_RIGHT),
        };
      }),
    ),
  );
}

/** The likelier sign, and the median of the middle of the good gains under it. */
function likeliest(all: readonly Hypothesis[]): number {
  const weightOf = (some: readonly Hypothesis[]) =>
    some.reduce((sum, { weight }) => sum + weight, 0);
  const plus = all.filter(({ sign }) => sign > 0);
  const minus = all.filter(({ sign }) => sign < 0);
  const [sign, some] = weightOf(plus) >= weightOf(minus) ? [1, plus] : [-1, minus];
  const half = weightOf(some) / 2;
  let sum = 0;
  for (const { middle, weight } of some.toSorted((a, b) => a.middle - b.middle)) {
    sum += weight;
    if (sum >= half) return sign * Math.exp(middle);
  }
  return sign;
}

/**
 * Which gain to try next when it is only looked at, by an eye that is wrong now and then: what may be true is
 * weighed by all looks, and the middle of it is tried next. A gain that looked good is looked at once more, and kept
 * when it is all but certain.
 *
 * Source: probabilistic bisection, Waeber, Frazier and Henderson, SIAM J. Control Optim. 51 (2013) 2261–2279.
 * @param looks in any order, at least one; gains other than 0
 */
export function adviceByEye(looks: readonly GainLook[]): EyeAdvice {
  const [first] = looks;
  if (first === undefined) throw new RangeError('no gain was looked at');
  const all = beforehand(first.gain).map((one) => ({
    ...one,
    weight: looks.reduce(
      (weight, { gain, seen }) => weight * (isSeen(one, gain) === seen ? RIGHT : WRONG),
      one.weight,
    ),
  }));
  const total = all.reduce((sum, { weight }) => sum + weight, 0);
  const chanceOf = (gain: number) =>
    all.reduce((sum, one) => sum + (isSeen(one, gain) === 'good' ? one.weight : 0), 0) / total;
  const best = looks
    .filter(({ seen }) => seen === 'good')
    .map(({ gain }) => ({ gain, chance: chanceOf(gain) }))
    .reduce((top, one) => (one.chance > top.chance ? one : top), { gain: 0, chance: 0 });
  if (best.chance >= LIKELY) return { ...best, isFound: best.chance >= SURE };
  const gain = likeliest(all);
  return { gain, chance: chanceOf(gain), isFound: false };
}
