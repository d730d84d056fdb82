import { describe, expect, it } from 'vitest';
import { angleStepRad, floorStepM, lengthStepM } from '../../src/core/stats/instrumentStep';
import { roundedFit, withoutRounding } from '../../src/core/stats/roundedFit';
import { straightModel } from '../../src/core/drive/straightModel';
import { stopModel } from '../../src/core/ranging/stopModel';
import { generator, normal } from '../support/eulerRobot';
import { deg } from './support';

/** Settings of a bench, and how many coefficients it fits. */
const BENCHES: [string, number[], 1 | 2][] = [
  ['two readings of one length', [1, 1], 1],
  ['four readings of one length', [1, 1, 1, 1], 1],
  ['two lengths twice', [1, 1, 2, 2], 2],
  ['two lengths three times', [1, 1, 1, 2, 2, 2], 2],
  ['six lengths', [1, 1.5, 2, 2.5, 3, 3.5], 2],
  ['four lengths three times', [1, 1, 1, 2, 2, 2, 3, 3, 3, 5, 5, 5], 2],
];
/** Scatter, in steps of the tape. */
const SCATTERS = [0, 0.1, 0.3, 0.5, 1, 2];

const rowOf = (x: number, p: 1 | 2) => (p === 1 ? [1] : [x, 1]);

/** How often the interval of the first coefficient holds it, over benches of one kind; and its median width. */
function held(xs: number[], p: 1 | 2, scatter: number, benches: number) {
  const random = generator(Math.round(1000 * scatter) + xs.length);
  const halves: number[] = [];
  const errors: number[] = [];
  for (let i = 0; i < benches; i += 1) {
    const truth = [10 * random(), 10 * random()];
    const y = xs.map((x) =>
      Math.round(
        rowOf(x, p).reduce((sum, one, j) => sum + one * (truth[j] ?? 0), 0) +
          scatter * normal(random),
      ),
    );
    const fit = roundedFit(
      xs.map((x) => rowOf(x, p)),
      y,
      1,
    );
    halves.push(fit?.halfWidth95(p === 1 ? [1] : [1, 0]) ?? Number.NaN);
    errors.push(Math.abs((fit?.coefficients[0] ?? Number.NaN) - (truth[0] ?? 0)));
  }
  const share = errors.filter((error, i) => error <= (halves[i] ?? -1)).length / benches;
  const exact = errors.toSorted((a, b) => a - b)[Math.floor(0.95 * benches)] ?? Number.NaN;
  const median = halves.toSorted((a, b) => a - b)[benches >> 1] ?? Number.NaN;
  return { share, wider: median / exact };
}

describe('a fit of rounded readings', () => {
  it.each(BENCHES)('of %s holds the truth whatever the scatter', (_, xs, p) => {
    for (const scatter of SCATTERS) {
      const { share, wider } = held(xs, p, scatter, 600);
      expect(share, `scatter of ${scatter} steps`).toBeGreaterThanOrEqual(0.925);
      // With so many readings no wider than what knows step and scatter, but for Student's quantile.
      if (xs.length > 6) expect(wider, `scatter of ${scatter} steps`).toBeLessThan(1.5);
    }
  });

  it('never says that anything is exact', () => {
    const drives = [0.5, 1, 0.5, 1].map((commandedM) => ({
      commandedM,
      actualM: 0.98 * commandedM,
      sidewaysM: 0,
      speedMPerS: 0.3,
    }));
    const found = straightModel(drives);
    expect(found?.scaleFactor.low95).toBeLessThan(0.97);
    expect(found?.scaleFactor.high95).toBeGreaterThan(0.99);
    expect(found?.residualSdM).toBeGreaterThan(0.001);
    // Read to the millimetre, the same drives tell ten times as much.
    const fine = straightModel(drives, 0.001);
    expect((fine?.scaleFactor.high95 ?? 9) - 0.98).toBeLessThan(0.004);
    expect((fine?.scaleFactor.high95 ?? 0) - 0.98).toBeGreaterThan(0.0005);
  });

  it('takes the step that somebody said, of a ruler and of a floor', () => {
    expect(lengthStepM([0.98, 1.47], 0.005)).toBe(0.005);
    expect(floorStepM([0.05, -0.1], 0.001)).toBe(0.001);
    const stops = [0.1, 0.1, 0.3, 0.3].map((speedMPerS) => ({
      speedMPerS,
      thresholdM: 0.2,
      stopM: Math.round(100 * (0.2 - 0.1 * speedMPerS)) / 100,
    }));
    const width = (readToM: number | null) => {
      const { lagLow95S = 0, lagHigh95S = 0 } = stopModel(stops, readToM) ?? {};
      return lagHigh95S - lagLow95S;
    };
    expect(width(0.001)).toBeLessThan(width(null) / 2);
    expect(width(0.05)).toBeGreaterThan(width(null));
  });

  it('guesses the step from the readings, and no coarse one from a few', () => {
    expect(lengthStepM([0.98, 1.47, 1.96])).toBeCloseTo(0.01, 9);
    expect(lengthStepM([0.981, 1.47, 1.96])).toBeCloseTo(0.001, 9);
    expect(lengthStepM([1, 1, 0.5])).toBeCloseTo(0.01, 9);
    expect(floorStepM([0.05, -0.1, 0.05])).toBeCloseTo(0.05, 9);
    expect(angleStepRad([93, 95, 92].map(deg))).toBeCloseTo(deg(1), 9);
    expect(angleStepRad([90, 95, 85].map(deg))).toBeCloseTo(deg(5), 9);
    // Nothing is read without a step.
    expect(lengthStepM([0.98123456])).toBeGreaterThan(0);
  });

  it('takes what rounding adds out of a scatter, and no more than it can hide', () => {
    expect(withoutRounding(Math.hypot(2, 1 / Math.sqrt(12)), 1)).toBeCloseTo(2, 9);
    expect(withoutRounding(0, 1)).toBeCloseTo(0.15, 9);
  });
});

describe('stops at one speed', () => {
  it('tell no lag from braking: it may be anything between none and all of the way', () => {
    let count = 0;
    const random = generator(3);
    for (let i = 0; i < 200; i += 1) {
      const [lagS, braking] = [0.06 + 0.06 * random(), 1.5 + 1.5 * random()];
      const speeds = i % 2 === 0 ? [0.3] : [0.2, 0.4];
      const trials = speeds.flatMap((speedMPerS) =>
        [0, 1, 2, 3].map(() => {
          const overM =
            speedMPerS * lagS + speedMPerS ** 2 / (2 * braking) + 0.002 * normal(random);
          return { speedMPerS, thresholdM: 0.2, stopM: 0.01 * Math.round(100 * (0.2 - overM)) };
        }),
      );
      const found = stopModel(trials);
      if (found !== null && found.lagLow95S <= lagS && lagS <= found.lagHigh95S) count += 1;
    }
    expect(count).toBeGreaterThan(186);
  });
});
