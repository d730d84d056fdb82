import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shownStep } from '../../src/core/detection/shownStep';
import {
  equalErrorThreshold,
  errorShares,
  leastErrorThreshold,
  separability,
  type TwoSpreads,
} from '../../src/core/detection/threshold';
import { twoClasses } from '../../src/core/detection/twoClasses';
import { draws, least, most } from '../support/draws';
import { otherNoise } from '../support/otherNoise';

const errorAt = (spreads: TwoSpreads, threshold: number): number => {
  const { low, high } = errorShares(spreads, threshold);
  return (low + high) / 2;
};
const spreads = (apart: number, low: number, high: number): TwoSpreads => ({
  low: { mean: 0, sd: low },
  high: { mean: apart, sd: high },
});

describe('a threshold between two known spreads', () => {
  it('lies in the middle of equal ones, and errs there as the tables of the normal say', () => {
    const four = spreads(4, 1, 1);
    expect(leastErrorThreshold(four)).toBeCloseTo(2, 12);
    expect(equalErrorThreshold(four)).toBeCloseTo(2, 12);
    expect(errorAt(four, 2)).toBeCloseTo(0.0227501, 6);
    expect(separability(four)).toBe(4);
  });

  it('is where both densities are equal, and no other errs less', () => {
    const spread = fc.double({ min: 0.05, max: 20, noNaN: true });
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 60, noNaN: true }), spread, spread, (apart, a, b) => {
        const of = spreads(apart, a, b);
        const at = leastErrorThreshold(of);
        for (const aside of [-1, -0.1, 0.1, 1]) {
          expect(errorAt(of, at)).toBeLessThanOrEqual(
            errorAt(of, at + aside * Math.min(a, b)) + 1e-12,
          );
        }
        expect(errorAt(of, at)).toBeLessThanOrEqual(errorAt(of, equalErrorThreshold(of)) + 1e-12);
      }),
    );
  });

  it('at equal error stands as many deviations from either', () => {
    expect(equalErrorThreshold(spreads(9, 1, 2))).toBeCloseTo(3, 12);
    const { low, high } = errorShares(spreads(9, 1, 2), 3);
    expect(low).toBeCloseTo(high, 12);
  });
});

describe('the step in which readings are shown', () => {
  it('is that of their decimals; few round numbers prove no coarser one', () => {
    expect(shownStep([20, 20, 60])).toBe(1);
    expect(shownStep([0.5, 0.25])).toBeCloseTo(0.01, 12);
    expect(shownStep([1 / 3])).toBe(0);
  });
});

/** Readings of a class at some places that differ. */
function drawn(
  { normal }: ReturnType<typeof otherNoise>,
  {
    mean,
    sd,
    placeSd,
    places,
    each,
  }: { mean: number; sd: number; placeSd: number; places: number; each: number },
) {
  const at = Array.from({ length: places }, (_, place) => ({ place, off: placeSd * normal() }));
  const all = at.flatMap(({ place, off }) =>
    Array.from({ length: each }, () => ({ place, value: mean + off + sd * normal() })),
  );
  return { values: all.map(({ value }) => value), places: all.map(({ place }) => place) };
}

describe('what samples tell of two classes', () => {
  const N = draws(400);

  it('from 50 of each, four deviations apart, it errs hardly more than the best possible', () => {
    const noise = otherNoise(50);
    const best = errorAt(spreads(4, 1, 1), 2);
    let excess = 0;
    for (let i = 0; i < N; i += 1) {
      const one = { sd: 1, placeSd: 0, places: 1, each: 50 };
      const { threshold } = twoClasses(
        drawn(noise, { ...one, mean: 0 }),
        drawn(noise, { ...one, mean: 4 }),
      );
      excess += (errorAt(spreads(4, 1, 1), threshold) / best - 1) / N;
    }
    expect(excess).toBeLessThan(0.1);
  });

  it.each([
    { apart: 4, low: 1, high: 1, placeSd: 0, places: 1, each: 5 },
    { apart: 8, low: 1, high: 2, placeSd: 0, places: 1, each: 10 },
    { apart: 10, low: 1, high: 2, placeSd: 1.5, places: 3, each: 5 },
    { apart: 6, low: 1, high: 1, placeSd: 1, places: 6, each: 1 },
  ])('the interval of its errors holds the truth: %o', ({ apart, low, high, ...rest }) => {
    const noise = otherNoise(apart * 100 + rest.each);
    const truth = spreads(apart, Math.hypot(low, rest.placeSd), Math.hypot(high, rest.placeSd));
    let held = 0;
    for (let i = 0; i < N; i += 1) {
      const found = twoClasses(
        drawn(noise, { ...rest, mean: 0, sd: low }),
        drawn(noise, { ...rest, mean: apart, sd: high }),
      );
      const { low95, high95 } = found.rates.all;
      const errs = errorAt(truth, found.threshold);
      if (errs >= low95 && errs <= high95) held += 1;
    }
    expect(held / N).toBeGreaterThan(least(0.93, N));
    expect(held / N).toBeLessThanOrEqual(most(0.995, N));
  });

  it('where spreads differ the threshold moves towards the narrow one, and equal error stands beside it', () => {
    const noise = otherNoise(7);
    const one = { placeSd: 0, places: 1, each: 200 };
    const found = twoClasses(
      drawn(noise, { ...one, mean: 15, sd: 2 }),
      drawn(noise, { ...one, mean: 60, sd: 8 }),
    );
    expect(found.spreadsDiffer).toBe(true);
    const truth = { low: { mean: 15, sd: 2 }, high: { mean: 60, sd: 8 } };
    expect(found.threshold).toBeCloseTo(leastErrorThreshold(truth), -0.5);
    expect(found.equalError).toBeCloseTo(equalErrorThreshold(truth), -0.5);
  });

  it('noise of a reading that stays in its place does not cross the band, and both ends are reached', () => {
    const found = twoClasses({ values: [14, 15, 16, 15] }, { values: [60, 62, 61, 65] });
    const { toLow, toHigh, threshold } = found;
    expect(threshold - toLow).toBeGreaterThan(2 * found.low.readingSd);
    expect(toHigh - threshold).toBeGreaterThan(2 * found.high.readingSd);
    expect(toLow).toBeGreaterThan(found.low.mean);
    expect(toHigh).toBeLessThan(found.high.mean);
  });

  it('a scale turned over or moved changes the figures as the scale, and nothing else', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 30 }), { minLength: 2, maxLength: 9 }),
        fc.array(fc.integer({ min: 31, max: 60 }), { minLength: 2, maxLength: 9 }),
        (low, high) => {
          const found = twoClasses({ values: low }, { values: high });
          const turned = twoClasses(
            { values: low.map((one) => 100 - one) },
            { values: high.map((one) => 100 - one) },
          );
          expect(turned.firstIsLow).toBe(!found.firstIsLow);
          expect(turned.threshold).toBeCloseTo(100 - found.threshold, 9);
          expect(turned.toLow).toBeCloseTo(100 - found.toHigh, 9);
          expect(turned.separability).toBeCloseTo(found.separability, 9);
        },
      ),
    );
  });

  it('readings that all agree may scatter by what their step hides; a single one of each tells no rate', () => {
    const agreeing = twoClasses({ values: [20, 20, 20] }, { values: [21, 21, 21] });
    expect(agreeing.rates.all.high95).toBeGreaterThan(0.1);
    const single = twoClasses({ values: [20] }, { values: [60] });
    expect(single.threshold).toBe(40);
    expect(single.rates.all).toEqual({ value: Number.NaN, low95: 0, high95: 1 });
  });

  it('a place with many readings counts no more than another', () => {
    const values = [10, 10, 10, 10, 10, 10, 20];
    const places = ['a', 'a', 'a', 'a', 'a', 'a', 'b'];
    const found = twoClasses({ values, places }, { values: [60, 62] });
    expect(found.low.mean).toBe(15);
    expect(found.low.placeSd).toBeGreaterThan(6);
  });
});
