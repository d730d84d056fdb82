import { describe, expect, it } from 'vitest';
import type { RangeCalibration } from '../../src/core/calibrationValues/range';
import type { StopCalibration } from '../../src/core/calibrationValues/stop';
import { judgeRecheck, rangeRecheck, stopRecheck } from '../../src/core/calibration/recheck';
import { randomStream } from '../../src/core/stats/random';

const range: RangeCalibration = {
  kind: 'range',
  offsetM: 0.012,
  offsetSeM: 0.001,
  scaleFactor: 1.01,
  scaleFactorSe: 0.001,
  atMid: { distanceM: 0.6, seM: 0.0006 },
  noiseM: 0.003,
  lostRate: 0,
  validFromM: 0.1,
  validToM: 1.1,
};
const stop: StopCalibration = {
  kind: 'stop',
  lagS: 0.1,
  brakingMPerS2: 1,
  residualSdM: 0.003,
  lateSeS: 0.004,
  n: 12,
  slowestMPerS: 0.1,
  fastestMPerS: 0.3,
};
const say = (metres: number) => `${metres} m`;
const trials = rangeRecheck(range, say);

/** In what share of re-checks a sensor that reads so much longer is said to hold still. */
function heldShare(longerM: number): number {
  const checks = 600;
  let held = 0;
  for (let i = 0; i < checks; i += 1) {
    const random = randomStream(31, i, 're-check of the test');
    // The calibration's own error is the same in all three.
    const own = random.normal();
    const read = trials.map(
      ({ expectedM, seM }) =>
        Math.round((expectedM + longerM + own * seM + 0.003 * random.normal()) * 1000) / 1000,
    );
    if (judgeRecheck(trials, read, 30).holds) held += 1;
  }
  return held / checks;
}

describe('a quick re-check', () => {
  it('lets what holds hold in at least 95 of 100, and finds a sensor that was knocked', () => {
    expect(heldShare(0)).toBeGreaterThan(0.94);
    expect(heldShare(0.012)).toBeLessThan(0.05);
  });

  it('foretells what the calibration says, where it was measured', () => {
    expect(trials.map(({ told }) => told)).toHaveLength(3);
    for (const { expectedM, told } of trials) {
      const trueM = Number(/^[\d.]+/.exec(told)?.[0]);
      expect(trueM).toBeGreaterThanOrEqual(0.1);
      expect(trueM).toBeLessThanOrEqual(1.1);
      expect(expectedM).toBeCloseTo(0.012 + 1.01 * trueM, 9);
    }
    // 0.3 m/s: 30 mm of lag and 45 mm of braking, of 20 cm.
    expect(stopRecheck(stop, say)[0]?.expectedM).toBeCloseTo(0.2 - 0.03 - 0.045, 9);
  });

  it('says by how much it is off, and what to do then', () => {
    const foretold = stopRecheck(stop, say);
    const as = (moreM: number) => foretold.map(({ expectedM }) => expectedM + moreM);
    expect(judgeRecheck(foretold, as(0.001), 10)).toMatchObject({
      holds: true,
      sentence: expect.stringContaining('It still holds') as string,
    });
    const off = judgeRecheck(foretold, as(-0.02), 10);
    expect(off.holds).toBe(false);
    expect(off.sentence).toMatch(/on average by −20\.0 mm, .*Measure it anew/);
    // One stop that is far off alone is enough.
    const [first = 0, ...others] = as(0);
    expect(judgeRecheck(foretold, [first - 0.03, ...others], 10).holds).toBe(false);
  });

  it('asks nothing of a sensor that shows volts', () => {
    const volts = { ...range, volts: { atZeroV: 0, perMV: 1 } };
    expect(rangeRecheck(volts, say)).toEqual([]);
  });
});
