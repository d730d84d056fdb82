import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compareSeries, type Answer } from '../../src/core/compare/compareSeries';
import { controlChart } from '../../src/core/compare/controlChart';
import { fisherExact } from '../../src/core/compare/fisherExact';
import { holm } from '../../src/core/compare/holm';
import { meanShift } from '../../src/core/compare/meanShift';
import { rateDifference } from '../../src/core/compare/newcombe';
import { runsNeeded, type DifferenceSought } from '../../src/core/compare/runsNeeded';
import { compareSentence } from '../../src/core/compare/sentence';
import { distancesFromMedian, spreadRatio } from '../../src/core/compare/spreadRatio';
import { randomStream, type RandomStream } from '../../src/core/stats/random';
import { mean } from '../../src/core/stats/moments';
import { wilson } from '../../src/core/stats/wilson';
import { origin, recordedRuns } from './support';
import { draws, least, most } from '../support/draws';

interface Kind {
  sdM?: number;
  alongM?: number;
  rate?: number;
}

const seriesOf = (random: RandomStream, n: number, { sdM = 0.01, alongM = 0, rate = 0.7 }: Kind) =>
  Array.from({ length: n }, () => ({
    xM: alongM + sdM * random.normal(),
    yM: sdM * random.normal(),
    success: random.uniform() < rate,
  }));

/** How often so many pairs of such series get each verdict. */
function verdicts(pairs: number, n: number, a: Kind, b: Kind): Record<Answer, number> {
  const counts = { helped: 0, hurt: 0, 'no-difference-shown': 0 };
  for (let i = 0; i < pairs; i += 1) {
    const random = randomStream(i, n, 'pairs');
    const found = compareSeries(seriesOf(random, n, a), seriesOf(random, n, b), origin);
    if (found !== null) counts[found.verdict] += 1;
  }
  return counts;
}

const some = (n: number, kind: Kind = {}) => seriesOf(randomStream(3, n, 'some'), n, kind);

describe('the tests of a comparison', () => {
  it('Fisher’s exact test gives the probabilities of the literature', () => {
    // The lady tasting tea; and a table of R's documentation of the same test (convictions of twins).
    expect(fisherExact(3, 4, 1, 4)).toBeCloseTo(0.4857142857, 9);
    expect(fisherExact(10, 12, 3, 18)).toBeCloseTo(0.0005367241, 9);
    expect(fisherExact(0, 5, 0, 7)).toBe(1);
  });

  it.each([
    [48, 80, 56, 70, 0.2, 0.0524, 0.3339],
    [3, 10, 9, 10, 0.6, 0.1705, 0.809],
  ])('Newcombe’s interval: %i/%i to %i/%i', (xA, nA, xB, nB, difference, low, high) => {
    const [a, b] = [wilson(xA, nA), wilson(xB, nB)];
    if (a === null || b === null) throw new Error('no rate');
    const found = rateDifference(a, b);
    expect(found.difference).toBeCloseTo(difference, 9);
    expect(found.low95).toBeCloseTo(low, 4);
    expect(found.high95).toBeCloseTo(high, 4);
  });

  it('Hotelling’s T² is that of the textbook, its probability that of all ways of dealing', () => {
    const a = [
      { xM: 0.001, yM: 0.004 },
      { xM: 0.003, yM: -0.002 },
      { xM: -0.002, yM: 0.001 },
    ];
    const b = [
      { xM: 0.012, yM: 0.003 },
      { xM: 0.009, yM: 0.006 },
      { xM: 0.014, yM: 0.0 },
    ];
    const tSquared = (one: typeof a, other: typeof a) => {
      const sums = { xx: 0, xy: 0, yy: 0 };
      const centres = [one, other].map((group) => {
        const centre = { x: mean(group.map((p) => p.xM)), y: mean(group.map((p) => p.yM)) };
        for (const p of group) {
          sums.xx += (p.xM - centre.x) ** 2;
          sums.xy += (p.xM - centre.x) * (p.yM - centre.y);
          sums.yy += (p.yM - centre.y) ** 2;
        }
        return centre;
      });
      const dx = (centres[1]?.x ?? 0) - (centres[0]?.x ?? 0);
      const dy = (centres[1]?.y ?? 0) - (centres[0]?.y ?? 0);
      const df = one.length + other.length - 2;
      const det = (sums.xx * sums.yy - sums.xy ** 2) / df;
      const form = (sums.yy * dx * dx - 2 * sums.xy * dx * dy + sums.xx * dy * dy) / det;
      return ((one.length * other.length) / (one.length + other.length)) * form;
    };
    const found = meanShift(a, b);
    expect(found.tSquared).toBeCloseTo(tSquared(a, b), 6);
    const all = [...a, ...b];
    let [ways, asFar] = [0, 0];
    for (let mask = 0; mask < 64; mask += 1) {
      const one = all.filter((_, i) => (mask >> i) & 1);
      if (one.length !== 3) continue;
      ways += 1;
      const other = all.filter((_, i) => !((mask >> i) & 1));
      if (tSquared(one, other) >= tSquared(a, b) * (1 - 1e-9)) asFar += 1;
    }
    expect(found.pValue).toBeCloseTo(asFar / ways, 12);
  });

  it('the spread is compared by distances from each series’ own median, and scales with the ends', () => {
    const [a, b] = [some(12, { sdM: 0.02 }), some(15)];
    const found = spreadRatio(a, b);
    const [dA, dB] = [distancesFromMedian(a), distancesFromMedian(b)];
    expect(found?.ratio).toBeCloseTo(mean(dB) / mean(dA), 12);
    expect(found?.low95).toBeLessThan(found?.ratio ?? 0);
    expect(found?.high95).toBeGreaterThan(found?.ratio ?? Infinity);
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 10, noNaN: true }), (scale) => {
        const scaled = (points: typeof a) =>
          points.map(({ xM, yM }) => ({ xM: xM * scale, yM: yM * scale }));
        const other = spreadRatio(scaled(a), scaled(b));
        expect(other?.ratio).toBeCloseTo(found?.ratio ?? 0, 9);
        expect(other?.pValue).toBeCloseTo(found?.pValue ?? 0, 9);
      }),
      { numRuns: 10 },
    );
  });

  it('Holm’s rule is that of the textbook', () => {
    expect(holm([0.01, 0.04, 0.03])).toEqual([0.03, 0.06, 0.06]);
  });
});

describe('did it help?', () => {
  it('cries wolf in at most 5 of 100 comparisons of series that do not differ', () => {
    const pairs = draws(600);
    for (const n of [5, 8]) {
      const { helped, hurt } = verdicts(pairs, n, {}, {});
      expect((helped + hurt) / pairs).toBeLessThan(most(0.04, pairs));
    }
  });

  it.each<[string, DifferenceSought, Kind, Kind]>([
    ['aim', { sdM: 0.01, differenceM: 0.012 }, { alongM: 0.012 }, {}],
    ['spread', { ratio: 0.5 }, { sdM: 0.02 }, {}],
    ['success', { rateA: 0.3, rateB: 0.9 }, { rate: 0.3 }, { rate: 0.9 }],
  ])('is right about the %s as often as the planned runs promise', (_, difference, a, b) => {
    const n = runsNeeded(difference);
    if (n === null) throw new Error('too many');
    const pairs = draws(200);
    expect(verdicts(pairs, n, a, b).helped / pairs).toBeGreaterThan(least(0.8, pairs));
    expect(verdicts(pairs, n, b, a).hurt / pairs).toBeGreaterThan(least(0.8, pairs));
  });

  it('of the recorded series says that the spread came down, with its interval', () => {
    const found = compareSeries(recordedRuns('runs-before'), recordedRuns('runs-after'), origin);
    expect(found?.verdict).toBe('helped');
    expect(compareSentence(found)).toMatch(/^It helped: .*→/);
  });

  it('is the other way round for the other order', () => {
    const [a, b] = [some(20, { sdM: 0.03, rate: 0.4 }), some(20)];
    const [there, back] = [compareSeries(a, b, origin), compareSeries(b, a, origin)];
    expect(there?.verdict).toBe('helped');
    expect(back?.verdict).toBe('hurt');
    expect(back?.bias?.pValue).toBeCloseTo(there?.bias?.pValue ?? 0, 2);
    expect(back?.spread?.ratio).toBeCloseTo(1 / (there?.spread?.ratio ?? 1), 9);
  });

  it('leaves out what was not measured of what needs it, and counts it', () => {
    const extra = [{ success: false }, { xM: 0.001, yM: 0.002, success: null }];
    const found = compareSeries([...some(5), ...extra], some(6), origin);
    expect(found?.a).toMatchObject({ n: 7, nPose: 6, nSuccess: 6 });
    // Two ends are no middle: what worked is compared all the same.
    const few = compareSeries([...some(2), { success: true }], some(9), origin);
    expect(few).toMatchObject({ bias: null, spread: null, a: { biasM: null, nSuccess: 3 } });
    expect(compareSeries([{ xM: 0, yM: 0 }], some(9), origin)).toBeNull();
    expect(compareSentence(null)).toMatch(/Nothing in both can be compared/);
  });

  it('of series that only count what worked is a comparison of that', () => {
    const runs = (worked: number) =>
      Array.from({ length: 10 }, (_, i) => ({ success: i < worked }));
    const found = compareSeries(runs(0), runs(10), origin);
    expect(found?.verdict).toBe('helped');
    expect(found?.success?.pValue).toBeLessThan(0.001);
    expect(compareSentence(found)).toMatch(
      /^It helped: success 0 % → 100 % .*three measured ends in each are needed/,
    );
    expect(compareSeries(runs(5), runs(6), origin)?.verdict).toBe('no-difference-shown');
    expect(compareSeries(runs(5), [{ xM: 0, yM: 0 }], origin)).toBeNull();
  });

  it('calls closer together but aimed wrong the better robot, and says what to do', () => {
    const random = randomStream(4, 0, 'closer');
    const cloud = (n: number, sdM: number, alongM: number) =>
      Array.from({ length: n }, () => {
        const [xM, yM] = [alongM + sdM * random.normal(), sdM * random.normal()];
        return { xM, yM, success: Math.hypot(xM, yM) < 0.022 };
      });
    const found = compareSeries(cloud(30, 0.013, 0.006), cloud(30, 0.007, 0.024), origin);
    expect(found?.answers).toMatchObject({ spread: 'helped', bias: 'hurt' });
    expect(found?.verdict).toBe('helped');
    expect(found?.reAim?.byM).toBeCloseTo(0.024, 2);
    // Within 22 mm of the target runs work: of ends that scatter by 7 mm nearly all would.
    expect(found?.reAim?.success?.rate).toBeGreaterThan(0.9);
    expect(compareSentence(found)).toMatch(
      /^It helped\. Closer together \(.*\); now re-aim by 2\d mm: about \d+ of 100 would work then/,
    );
  });

  it('ends that do not scatter at all are compared, and it ends', () => {
    const at = (xM: number, yM: number) => [0, 1, 2].map(() => ({ xM, yM, success: true }));
    const found = compareSeries(at(0.1, 0.05), at(0.012, 0.003), origin);
    expect(found?.looked.bias).toBe('helped');
    expect(found?.bias?.pValue).toBeCloseTo(0.1, 9);
    expect(runsNeeded({ sdM: 1e-9, differenceM: 591980743 })).toBe(3);
  });

  it('ends all in one place, or on one line, give no nonsense', () => {
    const still = [0, 1, 2, 3].map(() => ({ xM: 0.01, yM: 0, success: true }));
    const line = [0, 1, 2, 3].map((i) => ({ xM: 0.001 * i, yM: 0, success: true }));
    const found = compareSeries(still, line, origin);
    expect(found?.spread).toBeNull();
    expect(found?.bias?.pValue).toBeGreaterThan(0);
    expect(compareSeries(still, still, origin)?.verdict).toBe('no-difference-shown');
  });

  it('says how many more runs would settle what looks like a difference', () => {
    const [a, b] = [some(6, { sdM: 0.02, rate: 0.5 }), some(6)];
    const found = compareSeries(a, b, origin);
    expect(found?.verdict).toBe('no-difference-shown');
    expect(found?.moreRuns?.perSeries).toBeGreaterThan(0);
    expect(compareSentence(found)).toMatch(/more runs? in each would settle the/);
  });
});

describe('a control chart with breaks', () => {
  it('begins anew at each, and tells signals by their place in all runs', () => {
    const values = [1, 2, 1, 2, 1, 11, 12, 11, 12, 40];
    const { stretches, signals } = controlChart(values, [5]);
    expect(stretches.map(({ from, to }) => [from, to])).toEqual([
      [0, 4],
      [5, 9],
    ]);
    // Mean ± 2.66 times the mean moving range of 1.
    expect(stretches[0]).toMatchObject({ centre: 1.4, low: 1.4 - 2.66, high: 1.4 + 2.66 });
    expect(stretches[0]?.rangeLimit).toBeCloseTo(3.267, 9);
    expect(signals).toEqual([{ index: 9, rule: 'beyond-limits' }]);
    expect(controlChart([1, 2, 1, 2, 1, 2, 1, 2, 9]).signals).toEqual([
      { index: 8, rule: 'beyond-limits' },
    ]);
  });
});

describe('runs needed', () => {
  it('grow with what is promised, and shrink with the difference', () => {
    const shift = (differenceM: number, power = 0.8) =>
      runsNeeded({ sdM: 0.01, differenceM }, power) ?? Infinity;
    expect(shift(0.02)).toBeLessThan(shift(0.01));
    expect(shift(0.01, 0.9)).toBeGreaterThan(shift(0.01));
    expect(runsNeeded({ ratio: 1 })).toBeNull();
    expect(runsNeeded({ rateA: 0.7, rateB: 0.7 })).toBeNull();
    // Exact tables and the normal distribution meet where one gives way to the other.
    const few = runsNeeded({ rateA: 0.5, rateB: 0.79 }) ?? 0;
    const many = runsNeeded({ rateA: 0.5, rateB: 0.77 }) ?? 0;
    expect(few).toBeGreaterThan(45);
    expect(many).toBeLessThan(few * 1.4);
  });
});
