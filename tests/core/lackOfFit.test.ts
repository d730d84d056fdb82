import { describe, expect, it } from 'vitest';
import { lackOfFit } from '../../src/core/stats/lackOfFit';
import { linearFit } from '../../src/core/stats/linearFit';
import { generator, normal } from '../support/eulerRobot';

const fitOf = (points: readonly (readonly [number, number])[]) =>
  linearFit(
    points.map(([x]) => [1, x]),
    points.map(([, y]) => y),
  )?.residualSumOfSquares ?? NaN;
const repeatsOf = (points: readonly (readonly [number, number])[]) =>
  points.map(([setting, value]) => ({ setting, value }));

describe('lack of fit', () => {
  it('is the F-test computed by hand', () => {
    // Middles 1, 3 and 2 at 0, 1 and 2: the line is 1.5 + 0.5 x, its misfit 3; within the pairs 6 · 0.01.
    const points = [0, 1, 2].flatMap((x, i) =>
      [-0.1, 0.1].map((more) => [x, (([1, 3, 2] as const)[i] ?? 0) + more] as const),
    );
    const found = lackOfFit(repeatsOf(points), fitOf(points), 2, 0);
    expect(found.degreesOfFreedom).toBe(1);
    expect(found.meanSquare).toBeCloseTo(3, 9);
    // F = 3 / (0.06 / 3) = 150 with 1 and 3 degrees of freedom.
    expect(found.pValue).toBeCloseTo(0.00118, 4);
  });

  it('finds what is not there in one of twenty, and tells nothing without repeats', () => {
    const random = generator(5);
    const found = Array.from({ length: 600 }, () => {
      const points = [1, 2, 3, 4, 5].flatMap((x) =>
        [1, 2, 3].map(() => [x, 2 * x + normal(random)] as const),
      );
      return lackOfFit(repeatsOf(points), fitOf(points), 2, 0).pValue < 0.05;
    }).filter(Boolean).length;
    expect(found / 600).toBeGreaterThan(0.025);
    expect(found / 600).toBeLessThan(0.08);
    const single = [1, 2, 3, 4].map((x) => [x, x * x] as const);
    expect(lackOfFit(repeatsOf(single), fitOf(single), 2, 0).pValue).toBe(1);
  });

  it('is none where equal repeats are off by what rounding hides', () => {
    const points = [1, 2, 3, 4].flatMap((x) =>
      [1, 2, 3].map(() => [x, Math.round(0.7 * x)] as const),
    );
    expect(lackOfFit(repeatsOf(points), fitOf(points), 2, 0).pValue).toBe(1);
    expect(
      lackOfFit(repeatsOf(points), fitOf(points), 2, 1 / Math.sqrt(12)).pValue,
    ).toBeGreaterThan(0.01);
  });
});
