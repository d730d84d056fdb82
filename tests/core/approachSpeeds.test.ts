import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { approachPlan, approachSpread } from '../../src/core/ranging/approach';
import { approachWays, askewNearerM, bestWithin } from '../../src/core/ranging/approachSpeeds';
import { askewSentence, waysSentence } from '../../src/core/ranging/approachText';
import { pipit } from '../../src/server/demo/scenario';
import { deg } from './support';

const plan = {
  wantedM: 0.05,
  speedMPerS: 0.2,
  samplePeriodS: 0.03,
  latencyS: 0.05,
  brakingMPerS2: 2,
  confirmations: 2,
  offsetM: 0.004,
  scaleFactor: 1.01,
  noiseM: 0.002,
  startGapM: 0.8,
};

describe('an approach at one speed or at two', () => {
  it('has the spread of the exact plan, which hardly depends on the threshold', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.05, max: 0.5, noNaN: true }), (speedMPerS) => {
        const exact = approachPlan({ ...plan, speedMPerS })?.gapSdM ?? NaN;
        expect(approachSpread({ ...plan, speedMPerS }) / exact).toBeCloseTo(1, 1);
      }),
      { numRuns: 20 },
    );
  });

  it('leaves a crawl out that would be read more often than is computed, and says so', () => {
    expect(approachWays(plan, 1e-9)).toEqual([]);
    expect(waysSentence([], 3)).not.toMatch(/NaN|undefined/);
    expect(approachPlan({ ...plan, speedMPerS: 1e-9 })).toBeNull();
    // The slowest shares alone are left out where the others can be told.
    expect(approachWays(plan, 0.5).length).toBeGreaterThan(approachWays(plan, 1e-4).length);
  });

  it('takes the time that driving it piece by piece takes, and slows down before it has to stop', () => {
    const ways = approachWays(plan, 0.5);
    for (const { speedMPerS, fastMPerS, slowFromM, timeS } of ways) {
      let [gapM, passedS] = [plan.startGapM, 0];
      while (gapM > plan.wantedM) {
        const isFast = slowFromM !== null && gapM > slowFromM;
        gapM -= 1e-4 * (isFast ? (fastMPerS ?? 0) : speedMPerS);
        passedS += 1e-4;
      }
      expect(timeS).toBeCloseTo(passedS, 2);
      if (slowFromM === null || fastMPerS === null) continue;
      // Braking from fast to slow, then the slow one's own way to stop, fit in between.
      const braking = fastMPerS * 0.05 + (fastMPerS ** 2 - speedMPerS ** 2) / 4;
      expect(slowFromM - plan.wantedM).toBeGreaterThan(braking + speedMPerS * 0.05);
    }
  });

  it('at two speeds is steadier in the same time, and the best is never later than the time at hand', () => {
    const ways = approachWays(plan, 0.5);
    for (const timeAtHandS of [2, 3, 4, 8]) {
      const best = bestWithin(ways, timeAtHandS);
      const one = bestWithin(
        ways.filter(({ fastMPerS }) => fastMPerS === null),
        timeAtHandS,
      );
      expect(best?.timeS).toBeLessThanOrEqual(timeAtHandS);
      expect(best?.gapSdM).toBeLessThanOrEqual(one?.gapSdM ?? Infinity);
    }
    expect(bestWithin(ways, 4)?.fastMPerS).toBe(0.5);
    expect(waysSentence(ways, 4)).toMatch(
      /^In 4\.0 s drive 50 cm\/s up to \d+(\.\d)? cm before the wall, then \d+(\.\d)? cm\/s, ± \d\.\d mm\. At one speed it would be/,
    );
    expect(waysSentence(ways, 0.5)).toMatch(/cannot be there: the quickest way takes 1\.\d s/);
    expect(approachWays({ ...plan, startGapM: 0.051 }, 0.5)).toEqual([]);
    expect(waysSentence([], 3)).toMatch(/start further away/);
  });

  it('that comes askew stands nearer by the slant of a narrow beam and by its corner', () => {
    const { byBeamM, byCornerM } = askewNearerM(deg(60), 0.2, 0.08);
    expect(byBeamM).toBeCloseTo(0.1, 9);
    expect(byCornerM).toBeCloseTo(0.08 * Math.sin(deg(60)), 9);
    expect(askewSentence(pipit, 0.05)).toMatch(/5° askew .*its corner is \d+ mm nearer/);
  });
});
