import packaged from '@stdlib/stats-base-dists-normal-cdf';
import fCdf from '@stdlib/stats-base-dists-f-cdf';
import tQuantile from '@stdlib/stats-base-dists-t-quantile';
import { student975, studentQuantile } from '../../src/core/stats/student';
import fc from 'fast-check';
import { normalCdf } from '../../src/core/stats/normalCdf';
import { describe, expect, it } from 'vitest';
import { testBias } from '../../src/core/runs/biasTest';
import { isHeadingOff } from '../../src/core/runs/headingTest';
import { meanRegion, singleRunRegion } from '../../src/core/runs/regions';
import { seasonSentence } from '../../src/core/runs/bestSeries';
import { consistency } from '../../src/core/runs/consistency';
import { offsetInWords, reAimInWords } from '../../src/core/runs/verdict';
import { discProbability, discRadius } from '../../src/core/stats/bivariateT';
import { circularMean } from '../../src/core/stats/circularMean';
import { inverseOfPositive } from '../../src/core/stats/inverseOfPositive';
import {
  mahalanobisSquared,
  principalAxes,
  sampleCovariance,
} from '../../src/core/stats/covariance';
import { fQuantile, fUpperTail } from '../../src/core/stats/fDistribution';
import {
  clock,
  counted,
  errorLength,
  number,
  percent,
  shortNumber,
} from '../../src/core/text/quantities';
import { randomStream } from '../../src/core/stats/random';
import { deg, origin, recordedRuns } from './support';

const coordinate = fc.double({ min: -1, max: 1, noNaN: true });
const cloud = fc.array(fc.record({ xM: coordinate, yM: coordinate }), {
  minLength: 5,
  maxLength: 20,
});

describe('distributions', () => {
  it('F quantiles agree with printed tables', () => {
    // NIST/SEMATECH e-Handbook, 1.3.6.7.3, α = 0.05, two degrees of freedom above.
    expect(fQuantile(0.95, 2, 3)).toBeCloseTo(9.552, 3);
    expect(fQuantile(0.95, 2, 8)).toBeCloseTo(4.459, 3);
    expect(fQuantile(0.95, 2, 28)).toBeCloseTo(3.34, 3);
  });

  it('a disc about the centre of a round t holds what the closed form says', () => {
    // ρ²/2 follows F(2, ν): P(ρ ≤ r) = 1 − (1 + r²/ν)^(−ν/2).
    const round = { centre: origin, scale: { xx: 1, xy: 0, yy: 1 }, degreesOfFreedom: 8 };
    for (const r of [0.5, 1, 2.5]) {
      expect(discProbability(round, origin, r)).toBeCloseTo(1 - (1 + (r * r) / 8) ** -4, 9);
    }
    expect(discRadius(round, origin, 0.95)).toBeCloseTo(Math.sqrt(8 * (0.05 ** (-1 / 4) - 1)), 6);
  });

  it('a disc about any point agrees with counting random draws', () => {
    const t = { centre: { xM: 1, yM: -0.5 }, scale: { xx: 4, xy: 1, yy: 1 }, degreesOfFreedom: 6 };
    const random = randomStream(5, 0, 'draws');
    const draws = 60_000;
    let inside = 0;
    for (let i = 0; i < draws; i += 1) {
      let chi2 = 0;
      for (let k = 0; k < t.degreesOfFreedom; k += 1) chi2 += random.normal() ** 2;
      const stretch = Math.sqrt(t.degreesOfFreedom / chi2);
      const u = random.normal() * stretch;
      const v = random.normal() * stretch;
      const x = t.centre.xM + 2 * u;
      const y = t.centre.yM + 0.5 * u + Math.sqrt(0.75) * v;
      if (Math.hypot(x, y) <= 3) inside += 1;
    }
    expect(discProbability(t, origin, 3)).toBeCloseTo(inside / draws, 2);
  });

  it('the radius grows with the share, and holds it', () => {
    const t = {
      centre: { xM: 0.3, yM: 0.1 },
      scale: { xx: 0.04, xy: 0.01, yy: 0.09 },
      degreesOfFreedom: 9,
    };
    let last = 0;
    for (const share of [0.1, 0.5, 0.9, 0.95, 0.99]) {
      const radius = discRadius(t, origin, share);
      expect(radius).toBeGreaterThan(last);
      expect(discProbability(t, origin, radius)).toBeCloseTo(share, 7);
      last = radius;
    }
  });
});

describe('covariance', () => {
  it('axes give back the matrix, the major one first', () => {
    fc.assert(
      fc.property(cloud, (points) => {
        const matrix = sampleCovariance(points);
        const { major, minor, angleRad } = principalAxes(matrix);
        expect(major).toBeGreaterThanOrEqual(minor - 1e-12);
        expect(major + minor).toBeCloseTo(matrix.xx + matrix.yy, 9);
        const c = Math.cos(angleRad);
        const s = Math.sin(angleRad);
        expect(major * c * c + minor * s * s).toBeCloseTo(matrix.xx, 9);
        expect((major - minor) * c * s).toBeCloseTo(matrix.xy, 9);
        expect(angleRad).toBeGreaterThan(-Math.PI / 2);
        expect(angleRad).toBeLessThanOrEqual(Math.PI / 2);
      }),
    );
  });

  it('distances in units of the scatter do not depend on the units', () => {
    const matrix = { xx: 4, xy: 1, yy: 2 };
    const vector = { xM: 1.5, yM: -0.5 };
    const larger = { xx: 4e6, xy: 1e6, yy: 2e6 };
    expect(mahalanobisSquared(larger, { xM: 1500, yM: -500 })).toBeCloseTo(
      mahalanobisSquared(matrix, vector),
      9,
    );
    expect(mahalanobisSquared({ xx: 1, xy: 1, yy: 1 }, vector)).toBe(Infinity);
  });
});

describe('regions', () => {
  const covariance = { xx: 9, xy: 0, yy: 4 };

  it('for the mean are √(n+1) smaller than for single runs', () => {
    fc.assert(
      fc.property(fc.integer({ min: 3, max: 200 }), (n) => {
        const single = singleRunRegion(covariance, n);
        const mean = meanRegion(covariance, n);
        expect((single?.semiMajorM ?? 0) / (mean?.semiMajorM ?? 1)).toBeCloseTo(
          Math.sqrt(n + 1),
          6,
        );
      }),
    );
  });

  it('shrink with more runs towards the known normal: χ²(2) = 5.991', () => {
    expect(singleRunRegion(covariance, 100_000)?.semiMajorM).toBeCloseTo(3 * Math.sqrt(5.991), 2);
    expect(singleRunRegion(covariance, 2)).toBeNull();
  });
});

describe('tests of a bias', () => {
  it('call a true zero real in one of twenty series', () => {
    const random = randomStream(8, 0, 'null');
    const series = 4000;
    let heading = 0;
    let place = 0;
    for (let i = 0; i < series; i += 1) {
      const points = Array.from({ length: 8 }, () => ({
        xM: random.normal(),
        yM: random.normal() * 3,
      }));
      const { biasXM, biasYM, covariance } = consistencyOf(points);
      if (testBias({ xM: biasXM, yM: biasYM }, covariance, 8)?.real) place += 1;
      const angles = points.map(({ xM }) => xM / 100);
      const { meanRad, sdRad } = circularMean(angles);
      if (isHeadingOff(meanRad, sdRad, 8)) heading += 1;
    }
    expect(place / series).toBeCloseTo(0.05, 1.7);
    expect(heading / series).toBeCloseTo(0.05, 1.7);
  });

  const consistencyOf = (points: { xM: number; yM: number }[]) => {
    const covariance = sampleCovariance(points);
    const mean = (key: 'xM' | 'yM') => points.reduce((sum, p) => sum + p[key], 0) / points.length;
    return { biasXM: mean('xM'), biasYM: mean('yM'), covariance };
  };

  it('prove nothing from one heading, or from runs that all end at one spot', () => {
    expect(isHeadingOff(0.5, Number.NaN, 1)).toBe(false);
    expect(testBias({ xM: 1, yM: 0 }, { xx: 0, xy: 0, yy: 0 }, 5)).toBeNull();
  });
});

describe('numbers and sentences for people', () => {
  it('have a unit, sensible digits, a true minus and no minus zero', () => {
    expect(errorLength(-0.0123)).toBe('−12 mm');
    expect(errorLength(-0.0001)).toBe('0 mm');
    expect(number(-0.04, 1)).toBe('0.0');
    expect(shortNumber(12.5, 2)).toBe('12.5');
    expect(shortNumber(12, 2)).toBe('12');
    expect(percent(0.666)).toBe('67 %');
    expect([clock(27.84), clock(60), clock(149.6)]).toEqual(['27.8 s', '1:00 min', '2:30 min']);
    expect([counted(1, 'run'), counted(0, 'run')]).toEqual(['1 run', '0 runs']);
  });

  it('say an offset as seen along the travel, and the correction the other way', () => {
    expect(offsetInWords(0.0041, 0.009)).toBe('4 mm too far and 9 mm to the left');
    expect(offsetInWords(-0.012, -0.0002)).toBe('12 mm short');
    expect(reAimInWords(0.0041, 0.009)).toBe('4 mm less far and 9 mm more to the right');
    expect(offsetInWords(0.0001, 0)).toBe('');
  });

  it('name the series that landed closest', () => {
    const series = (['runs-before', 'runs-after'] as const).map((trying) => ({
      trying,
      end: consistency(origin, recordedRuns(trying)),
    }));
    const season = (count: number) => seasonSentence({ series: count, runs: 30 * count }, series);
    expect(season(2)).toMatch(/^60 runs in 2 series\. Closest so far: “runs-after”/);
    // Of a page of a season nothing is said about the rest.
    expect(season(9)).toMatch(/^270 runs in 9 series\. Closest of those shown: “runs-after”/);
    expect(seasonSentence({ series: 0, runs: 0 }, [])).toBe('No series yet.');
  });

  it('take headings round the circle', () => {
    const { meanRad, sdRad } = circularMean([deg(170), deg(-170), deg(180)]);
    expect(Math.abs(meanRad)).toBeCloseTo(Math.PI, 6);
    expect(sdRad).toBeCloseTo(deg(10), 2);
  });
});

describe('the inverse of a small positive definite matrix', () => {
  const cells = fc.array(fc.double({ min: -1, max: 1, noNaN: true }), {
    minLength: 9,
    maxLength: 9,
  });

  it('undoes it, with the determinant of the textbook, for sizes of one to three', () => {
    fc.assert(
      fc.property(cells, fc.integer({ min: 1, max: 3 }), (values, n) => {
        const b = Array.from({ length: n }, (_, i) => values.slice(3 * i, 3 * i + n));
        // B·Bᵀ + 1 is positive definite whatever B is.
        const a = b.map((row, i) =>
          b.map(
            (other, j) => row.reduce((sum, x, k) => sum + x * (other[k] ?? 0), 0) + Number(i === j),
          ),
        );
        const inverted = inverseOfPositive(a);
        expect(inverted).not.toBeNull();
        a.forEach((row, i) =>
          a.forEach((_, j) => {
            const product = row.reduce(
              (sum, x, k) => sum + x * (inverted?.inverse[k]?.[j] ?? Number.NaN),
              0,
            );
            expect(product).toBeCloseTo(Number(i === j), 10);
          }),
        );
        const [[p = 0, q = 0] = [], [r = 0, t = 0] = []] = a;
        if (n === 2) expect(inverted?.determinant).toBeCloseTo(p * t - q * r, 10);
      }),
    );
  });

  it('is none where columns point the same way', () => {
    expect(
      inverseOfPositive([
        [1, 1],
        [1, 1],
      ]),
    ).toBeNull();
    expect(inverseOfPositive([[0]])).toBeNull();
  });
});

describe('Student and F without a package', () => {
  it('agree with the package and with printed tables', () => {
    for (const degreesOfFreedom of [1, 2, 3, 5, 10, 30, 120, 1000]) {
      expect(student975(degreesOfFreedom)).toBeCloseTo(tQuantile(0.975, degreesOfFreedom), 8);
    }
    for (const [f, d1, d2] of [
      [0.3, 1, 4],
      [2.5, 2, 10],
      [4.1, 3, 7],
      [1, 20, 20],
    ] as const) {
      expect(fUpperTail(f, d1, d2)).toBeCloseTo(1 - fCdf(f, d1, d2), 10);
    }
    // Fisher and Yates: t at 97.5 % for 1 and 10 degrees of freedom; F at 5 % for (2, 10).
    expect(student975(1)).toBeCloseTo(12.706, 3);
    // Both of two intervals, of which one rests on three readings.
    expect(studentQuantile(0.025, 1)).toBeCloseTo(25.452, 3);
    expect(studentQuantile(0.5, 5)).toBeCloseTo(0.7267, 4);
    expect(student975(10)).toBeCloseTo(2.228, 3);
    expect(fUpperTail(4.10282, 2, 10)).toBeCloseTo(0.05, 5);
  });
});

describe('the normal distribution without a package', () => {
  it('agrees with the package from end to end', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -12, max: 12, noNaN: true }),
        fc.double({ min: -3, max: 3, noNaN: true }),
        fc.double({ min: 0.1, max: 5, noNaN: true }),
        (x, mean, sd) => {
          expect(normalCdf(x, mean, sd)).toBeCloseTo(packaged(x, mean, sd), 12);
        },
      ),
    );
  });
});
