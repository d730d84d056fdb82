import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Point } from '../../src/core/geometry/pose';
import { consistency } from '../../src/core/runs/consistency';
import { singleRunRegion } from '../../src/core/runs/regions';
import { scatterModel } from '../../src/core/runs/scatterModel';
import { discProbability } from '../../src/core/stats/bivariateT';
import { sampleCovariance } from '../../src/core/stats/covariance';
import { wilson } from '../../src/core/stats/wilson';
import { randomStream } from '../../src/core/stats/random';
import { deg, origin, recordedRuns } from './support';

describe('consistency of recorded series', () => {
  // Computed apart from Corvat, in Python, from the definitions; F(2, m) has the closed form
  // (m/2)(0.05^(−2/m) − 1), and the test's p-value is (1 + 2F/m)^(−m/2).
  const expected = {
    'runs-before': {
      biasXM: 0.0036333333,
      biasYM: 0.0088666667,
      biasHeadingRad: deg(0.3666666667),
      sdXM: 0.0077658995,
      sdYM: 0.019690245,
      sdHeadingRad: deg(2.4043542876),
      accuracyM: 0.0095822173,
      repeatabilityM: 0.0485233916,
      ellipse: { semiMajorM: 0.0532986574, semiMinorM: 0.0190411925, angleRad: 1.4035861545 },
      pValue: 0.0209327272,
      success: { n: 30, successes: 16, low95: 0.3614229962, high95: 0.6976761109 },
    },
    'runs-after': {
      biasXM: -0.0045333333,
      biasYM: -0.0017,
      biasHeadingRad: deg(0.1866666667),
      sdXM: 0.0082367274,
      sdYM: 0.0083713386,
      sdHeadingRad: deg(1.1752426993),
      accuracyM: 0.0048416021,
      repeatabilityM: 0.0236115699,
      ellipse: { semiMajorM: 0.0257026493, semiMinorM: 0.0180423213, angleRad: 0.8092579579 },
      pValue: 0.0219371882,
      success: { n: 30, successes: 28, low95: 0.7867654164, high95: 0.9815229762 },
    },
  };

  it.each(['runs-before', 'runs-after'] as const)('%s agrees with independent values', (name) => {
    const { ellipse, pValue, success, ...figures } = expected[name];
    const found = consistency(origin, recordedRuns(name));
    for (const [key, value] of Object.entries(figures)) {
      expect(found[key as keyof typeof figures], key).toBeCloseTo(value, 7);
    }
    for (const [key, value] of Object.entries(ellipse)) {
      expect(found.ellipse95?.[key as keyof typeof ellipse], key).toBeCloseTo(value, 7);
    }
    expect(found.biasTest?.pValue).toBeCloseTo(pValue, 7);
    expect(found.success).toMatchObject({ n: success.n, successes: success.successes });
    expect(found.success?.low95).toBeCloseTo(success.low95, 7);
    expect(found.success?.high95).toBeCloseTo(success.high95, 7);
  });
});

describe('the region and the radii hold what they promise', () => {
  const shapes = {
    round: { bias: [0, 0], sd: [10, 10], rho: 0 },
    'as recorded before': { bias: [4, 10], sd: [9.5, 16.1], rho: 0.26 },
    'long and biased': { bias: [30, 0], sd: [20, 5], rho: 0 },
    'biased by its own spread': { bias: [12, 0], sd: [10, 8], rho: 0.3 },
  } as const;
  // Few runs leave the shares nearest to their bounds: more series tell them apart from chance.
  const seriesOf = (n: number) => (n < 30 ? 8000 : 2000);

  it.each(
    [5, 10, 30].flatMap((n) => Object.entries(shapes).map(([name, shape]) => ({ n, name, shape }))),
  )('n = $n, $name', ({ n, name, shape }) => {
    const random = randomStream(11, n, name);
    const draw = () => {
      const u = random.normal();
      const v = shape.rho * u + Math.sqrt(1 - shape.rho ** 2) * random.normal();
      return { xM: shape.bias[0] + shape.sd[0] * u, yM: shape.bias[1] + shape.sd[1] * v };
    };
    let inEllipse = 0;
    let aboutMean = 0;
    let aboutTarget = 0;
    let new_ = 0;
    for (let series = 0; series < seriesOf(n); series += 1) {
      const runs = Array.from({ length: n }, draw);
      const model = scatterModel(runs, origin);
      if (model === null) throw new Error('no model');
      const { semiMajorM, semiMinorM, angleRad } = ellipseOf(runs);
      for (let i = 0; i < 4; i += 1) {
        const next = draw();
        const dx = next.xM - model.mean.xM;
        const dy = next.yM - model.mean.yM;
        const along = Math.cos(angleRad) * dx + Math.sin(angleRad) * dy;
        const across = Math.cos(angleRad) * dy - Math.sin(angleRad) * dx;
        new_ += 1;
        if ((along / semiMajorM) ** 2 + (across / semiMinorM) ** 2 <= 1) inEllipse += 1;
        // Within the radius that holds 95 % means: the disc up to here holds at most that.
        const mean = discProbability(model.aboutMean.next, model.mean, Math.hypot(dx, dy));
        const target = discProbability(
          model.aboutTarget.next,
          origin,
          Math.hypot(next.xM, next.yM),
        );
        if (mean <= 0.95) aboutMean += 1;
        if (target <= 0.95) aboutTarget += 1;
      }
    }
    for (const share of [inEllipse / new_, aboutMean / new_, aboutTarget / new_]) {
      expect(share).toBeGreaterThan(0.94);
      expect(share).toBeLessThan(0.96);
    }
  });

  it.each([5, 30])('the interval of R95 holds the true radius, n = %i', (n) => {
    const random = randomStream(12, n, 'interval');
    const draw = () => ({ xM: 12 + 10 * random.normal(), yM: 8 * random.normal() });
    // True radii by integrating the normal distribution over the disc on a fine grid.
    const truth = { aboutMean: 22.3029, aboutTarget: 29.8911 };
    let mean = 0;
    let target = 0;
    for (let series = 0; series < 500; series += 1) {
      const found = consistency(origin, Array.from({ length: n }, draw));
      const holds = (low: number | null, high: number | null, value: number) =>
        low !== null && high !== null && low <= value && value <= high ? 1 : 0;
      mean += holds(found.r95AboutMeanLow95M, found.r95AboutMeanHigh95M, truth.aboutMean);
      target += holds(found.r95AboutTargetLow95M, found.r95AboutTargetHigh95M, truth.aboutTarget);
    }
    for (const share of [mean / 500, target / 500]) expect(share).toBeGreaterThan(0.92);
  });

  const ellipseOf = (runs: Point[]) => {
    const region = singleRunRegion(sampleCovariance(runs), runs.length);
    if (region === null) throw new Error('no region');
    return region;
  };
});

describe('what a series of few or odd runs says', () => {
  it('gives no region below three measured ends, and keeps unmeasured runs in the success', () => {
    const two = consistency(origin, [
      { xM: 0.01, yM: 0, success: true },
      { xM: 0.02, yM: 0, success: true },
      { success: false },
      { success: false },
    ]);
    expect(two).toMatchObject({ n: 4, nPose: 2, ellipse95: null, r95AboutTargetM: null });
    expect(two.success).toMatchObject({ n: 4, rate: 0.5 });
    expect(consistency(origin, [])).toMatchObject({ n: 0, biasXM: null, success: null });
  });

  it('takes headings either side of ±180° together', () => {
    const target = { ...origin, headingRad: deg(180) };
    const runs = [179, -179, 178, -178].map((a) => ({ headingRad: deg(a) }));
    expect(consistency(target, runs).biasHeadingRad).toBeCloseTo(0, 9);
  });

  it('finds the same, moved and turned, in a moved and turned frame', () => {
    const runs = recordedRuns('runs-before');
    const here = consistency(origin, runs);
    fc.assert(
      fc.property(
        fc.double({ min: -2, max: 2, noNaN: true }),
        fc.double({ min: -3, max: 3, noNaN: true }),
        (shift, turn) => {
          const moved = runs.map(({ xM, yM }) => ({
            xM: shift + Math.cos(turn) * (xM ?? 0) - Math.sin(turn) * (yM ?? 0),
            yM: Math.sin(turn) * (xM ?? 0) + Math.cos(turn) * (yM ?? 0),
          }));
          const there = consistency({ xM: shift, yM: 0, headingRad: 0 }, moved);
          expect(there.accuracyM).toBeCloseTo(here.accuracyM ?? 0, 9);
          expect(there.r95AboutTargetM).toBeCloseTo(here.r95AboutTargetM ?? 0, 6);
          expect(there.ellipse95?.semiMajorM).toBeCloseTo(here.ellipse95?.semiMajorM ?? 0, 9);
        },
      ),
      { numRuns: 20 },
    );
  });
});

describe('Wilson interval', () => {
  it('agrees with published values', () => {
    // Newcombe, Statist. Med. 17 (1998) 857–872, table I, method 3.
    const published = [
      [81, 263, 0.2553, 0.3662],
      [15, 148, 0.0624, 0.1605],
      [0, 20, 0, 0.1611],
      [1, 29, 0.0061, 0.1718],
    ] as const;
    for (const [r, n, low, high] of published) {
      expect(wilson(r, n)?.low95).toBeCloseTo(low, 4);
      expect(wilson(r, n)?.high95).toBeCloseTo(high, 4);
    }
  });
});
