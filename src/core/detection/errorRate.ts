import { randomStream, type RandomStream } from '../stats/random';
import {
  ofMean,
  spreadingAlike,
  totalOf,
  variancesOf,
  type MeanSquare,
  type Sampled,
} from './sampled';
import { errorShares, type Spread } from './threshold';

/** A share with its 95 % interval. */
export interface Rate {
  value: number;
  low95: number;
  high95: number;
}

const DRAWS = 4000;
const SEED = 2401;
/** Nothing is known. */
const ANY: Rate = { value: Number.NaN, low95: 0, high95: 1 };

/** A draw of χ²: Marsaglia and Tsang, ACM Trans. Math. Softw. 26 (2000) 363–372, for the gamma of half its freedom. */
export function chiSquareDraw(free: number, random: RandomStream): number {
  if (free < 2) return chiSquareDraw(free + 2, random) * random.uniform() ** (2 / free);
  const d = free / 2 - 1 / 3;
  for (;;) {
    const x = random.normal();
    const v = (1 + x / Math.sqrt(9 * d)) ** 3;
    if (v > 0 && Math.log(1 - random.uniform()) < (x * x) / 2 + d - d * v + d * Math.log(v)) {
      return 2 * d * v;
    }
  }
}

/** What the readings of a class may truly be like, once: those at a place never tried. */
function drawSpread(of: Sampled, random: RandomStream): Spread {
  const drawn = ({ value, free }: MeanSquare): MeanSquare =>
    free === 0 ? { value, free } : { value: (value * free) / chiSquareDraw(free, random), free };
  const variances = variancesOf({ ...of, within: drawn(of.within), between: drawn(of.between) });
  return {
    mean: of.mean + random.normal() * Math.sqrt(ofMean(variances, of)),
    sd: Math.sqrt(totalOf(variances)),
  };
}

/** Whether the readings of a class tell of its spread. */
const isTold = ({ within, between }: Sampled): boolean => within.free + between.free > 0;

/** Of draws in order the share below which so many lie. */
const quantile = (sorted: Float64Array, share: number): number =>
  sorted[Math.round(share * (sorted.length - 1))] ?? Number.NaN;

/** The median of draws with 95 % of them. */
export const rateOf = (draws: Float64Array): Rate => {
  const sorted = draws.toSorted();
  return {
    value: quantile(sorted, 0.5),
    low95: quantile(sorted, 0.025),
    high95: quantile(sorted, 0.975),
  };
};

/** How often readings fall on the wrong side. */
export interface ErrorRates {
  /** Of readings of which half are of either class. */
  all: Rate;
  low: Rate;
  high: Rate;
}

/**
 * How often readings at places never tried fall on the wrong side of a threshold, as far as the samples tell: the median
 * and 95 % of what normal classes can be that showed such samples.
 *
 * Source: generalized pivotal quantities, Weerahandi, Exact Statistical Methods for Data Analysis (1995), chapter 5; of
 * random effects, Krishnamoorthy and Mathew, Technometrics 46 (2004) 44–52. Drawn with a fixed seed. A class with a
 * single reading spreads as the other does.
 */
export function errorRates(ofLow: Sampled, ofHigh: Sampled, threshold: number): ErrorRates {
  const untold = isTold(ofLow) && isTold(ofHigh) ? null : spreadingAlike(ofLow, ofHigh);
  const [low, high] = untold ?? [ofLow, ofHigh];
  if (!isTold(low)) return { all: ANY, low: ANY, high: ANY };
  const random = randomStream(SEED, 0, 'error rate');
  const drawn = {
    all: new Float64Array(DRAWS),
    low: new Float64Array(DRAWS),
    high: new Float64Array(DRAWS),
  };
  for (let i = 0; i < DRAWS; i += 1) {
    const spreads = { low: drawSpread(low, random), high: drawSpread(high, random) };
    const shares = errorShares(spreads, threshold);
    drawn.low[i] = shares.low;
    drawn.high[i] = shares.high;
    drawn.all[i] = (shares.low + shares.high) / 2;
  }
  return { all: rateOf(drawn.all), low: rateOf(drawn.low), high: rateOf(drawn.high) };
}
