import betaCdf from '@stdlib/stats-base-dists-beta-cdf';
import chiSquarePackaged from '@stdlib/stats-base-dists-chisquare-quantile';
import fPackaged from '@stdlib/stats-base-dists-f-quantile';
import fc from 'fast-check';
import { expect, it } from 'vitest';
import { chiSquareQuantile } from '../../src/core/stats/chiSquare';
import { fQuantile } from '../../src/core/stats/fDistribution';
import { incompleteBeta } from '../../src/core/stats/incompleteBeta';
import { incompleteGammaBeyond } from '../../src/core/stats/incompleteGamma';
import { rootBetween } from '../../src/core/stats/root';
import { student975 } from '../../src/core/stats/student';

const share = fc.double({ min: 1e-3, max: 0.999, noNaN: true });
const shape = fc.double({ min: 0.2, max: 400, noNaN: true });
const freedom = fc.integer({ min: 1, max: 1000 });
const agrees = (found: number, known: number) =>
  expect(Math.abs(found - known)).toBeLessThan(1e-9 * Math.abs(known) + 1e-12);

it('quantiles agree with those of a package, from one degree of freedom to a thousand', () => {
  fc.assert(
    fc.property(share, freedom, freedom, (p, d1, d2) => {
      agrees(chiSquareQuantile(p, d1), chiSquarePackaged(p, d1));
      agrees(fQuantile(p, d1, d2), fPackaged(p, d1, d2));
    }),
    { seed: 3 },
  );
});

it('χ² agrees with the printed table', () => {
  // NIST/SEMATECH e-Handbook, 1.3.6.7.4.
  expect(chiSquareQuantile(0.95, 2)).toBeCloseTo(5.991, 3);
  expect(chiSquareQuantile(0.025, 10)).toBeCloseTo(3.247, 3);
  expect(chiSquareQuantile(0.99, 100)).toBeCloseTo(135.807, 3);
  // Wilson and Hilferty's approximation holds to a hundredth with thousands of degrees of freedom.
  expect(chiSquareQuantile(0.975, 1996)).toBeCloseTo(
    1996 * (1 - 2 / 9 / 1996 + 1.959964 * Math.sqrt(2 / 9 / 1996)) ** 3,
    1,
  );
});

it('the beta distribution agrees with that of a package', () => {
  fc.assert(
    fc.property(share, shape, shape, (x, a, b) => {
      expect(incompleteBeta(x, a, b)).toBeCloseTo(betaCdf(x, a, b), 11);
    }),
    { seed: 4 },
  );
});

it('the beta distribution is its own mirror image, in its middle too', () => {
  for (const a of [0.5, 1, 3, 7.5, 400]) {
    expect(incompleteBeta(0.5, a, a)).toBeCloseTo(0.5, 12);
    const middle = (a + 1) / (a + 4);
    expect(incompleteBeta(middle, a, 2)).toBeCloseTo(1 - incompleteBeta(1 - middle, 2, a), 12);
  }
});

it('without degrees of freedom there is no quantile, and no fault', () => {
  expect(student975(0)).toBeNaN();
  expect(fQuantile(0.95, 2, 0)).toBeNaN();
  expect(chiSquareQuantile(0.95, 0)).toBeNaN();
});

it('a gamma distribution of a whole shape is that of so many waits: 1 − Poisson', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 60 }),
      fc.double({ min: 0, max: 90, noNaN: true }),
      (n, x) => {
        let term = Math.exp(-x);
        let fewer = 0;
        for (let k = 0; k < n; k += 1) {
          fewer += term;
          term *= x / (k + 1);
        }
        expect(incompleteGammaBeyond(n, x)).toBeCloseTo(fewer, 12);
      },
    ),
    { seed: 5 },
  );
});

it('a root is found to the last digits, in either order, and none is made up', () => {
  expect(rootBetween((x) => x ** 3 - 2, 0, 5)).toBeCloseTo(Math.cbrt(2), 13);
  expect(rootBetween((x) => Math.cos(x), 3, 0)).toBeCloseTo(Math.PI / 2, 13);
  // Flat on one side, steep on the other.
  expect(rootBetween((x) => Math.exp(50 * x) - 1, -1, 1)).toBeCloseTo(0, 12);
  expect(() => rootBetween((x) => x * x + 1, -1, 1)).toThrow(/no root/);
});
