/**
 * Where a continuous function is nothing, between two places at which its signs differ.
 *
 * Source: Ridders, IEEE Trans. Circuits Syst. 26 (1979) 979–980.
 * @param low, high the two places, in either order
 * @param precision to such a share of its own size
 * @throws RangeError where the signs are alike
 */
export function rootBetween(
  of: (x: number) => number,
  low: number,
  high: number,
  precision = 1e-14,
): number {
  let [a, b] = [low, high];
  let [atA, atB] = [of(a), of(b)];
  if (atA === 0) return a;
  if (atB === 0) return b;
  if (!(atA * atB < 0)) throw new RangeError(`no root between ${low} and ${high}`);
  let found = Number.NaN;
  for (let i = 0; i < 200; i += 1) {
    const middle = (a + b) / 2;
    const atMiddle = of(middle);
    const scale = Math.sqrt(atMiddle * atMiddle - atA * atB);
    const next = middle + ((middle - a) * Math.sign(atA - atB) * atMiddle) / scale;
    const atNext = of(next);
    if (atNext === 0 || Math.abs(next - found) <= precision * Math.abs(next)) return next;
    found = next;
    if (atMiddle * atNext < 0) [a, b, atA, atB] = [middle, next, atMiddle, atNext];
    else if (atA * atNext < 0) [b, atB] = [next, atNext];
    else [a, atA] = [next, atNext];
  }
  return found;
}

/**
 * The positive value beyond which a share of a distribution lies.
 *
 * @param beyond the share beyond a value, falling from 1 at 0
 * @param about from where it is looked for upwards
 * @returns NaN where the distribution is none
 */
export function quantileBeyond(
  beyond: (x: number) => number,
  share: number,
  about: number,
  precision?: number,
): number {
  let high = about;
  if (Number.isNaN(beyond(0)) || Number.isNaN(beyond(high))) return Number.NaN;
  while (beyond(high) > share) high *= 2;
  return rootBetween((x) => beyond(x) - share, 0, high, precision);
}
