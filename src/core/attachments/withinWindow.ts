import { chiSquareDraw, rateOf, type Rate } from '../detection/errorRate';
import { normalCdf } from '../stats/normalCdf';
import { randomStream } from '../stats/random';

/** Where moves to a position stand: on average, by how much single ones scatter, and how many tell it. */
export interface Reached {
  offset: number;
  sd: number;
  n: number;
}

const DRAWS = 2000;
const SEED = 2417;

/**
 * The chance that the next move stands within a window about where it should, as far as n moves tell: the median and 95 %
 * of what a normal scatter can be that showed such moves.
 *
 * Source: generalized pivotal quantities, Weerahandi, Exact Statistical Methods for Data Analysis (1995), chapter 5.
 * Drawn with a fixed seed.
 * @param halfWidth of the window, in the unit of the offset
 * @returns nothing known of fewer than two moves
 */
export function withinWindow({ offset, sd, n }: Reached, halfWidth: number): Rate {
  if (n < 2 || !Number.isFinite(sd)) return { value: Number.NaN, low95: 0, high95: 1 };
  const random = randomStream(SEED, 0, 'within window');
  const free = n - 1;
  const draws = new Float64Array(DRAWS);
  for (let i = 0; i < DRAWS; i += 1) {
    const drawnSd = sd * Math.sqrt(free / chiSquareDraw(free, random));
    const drawnMean = offset + (drawnSd * random.normal()) / Math.sqrt(n);
    draws[i] = normalCdf(halfWidth, drawnMean, drawnSd) - normalCdf(-halfWidth, drawnMean, drawnSd);
  }
  return rateOf(draws);
}
