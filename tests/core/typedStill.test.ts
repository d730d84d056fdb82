import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { STILL_SETTINGS } from '../../src/core/gyro/still/stillDefaults';
import { stillSentences } from '../../src/core/gyro/still/stillSentence';
import { typedStill } from '../../src/core/gyro/still/typedStill';
import { deg } from './support';

const RUN_S = 150;
const TOLERANCE = deg(2);

describe('two readings typed from a screen', () => {
  const typed = (from: number, until: number, seconds: number, step = 1) =>
    typedStill(
      { fromRad: deg(from), untilRad: deg(until), durationS: seconds, stepRad: deg(step) },
      RUN_S,
      TOLERANCE,
      STILL_SETTINGS,
    );

  it('hold the true drift, however the readings were rounded, and are worth little in a short time', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -0.5, max: 0.5, noNaN: true }),
        fc.double({ min: -180, max: 180, noNaN: true }),
        fc.integer({ min: 10, max: 1800 }),
        fc.constantFrom(0.1, 0.5, 1),
        (driftDeg, startDeg, seconds, step) => {
          const shown = (angle: number) => Math.round(angle / step) * step;
          const check = typed(shown(startDeg), shown(startDeg + driftDeg * seconds), seconds, step);
          expect(check.low95).toBeLessThanOrEqual(deg(driftDeg) + 1e-12);
          expect(check.high95).toBeGreaterThanOrEqual(deg(driftDeg) - 1e-12);
          // Never narrower than the step of the screen over the time.
          expect(check.high95 - check.low95).toBeGreaterThanOrEqual((2 * deg(step)) / seconds);
        },
      ),
    );
  });

  it('prove a large drift in a minute, and none that is smaller than what the screen hides', () => {
    const large = typed(3, 33, 60);
    expect(large.driftRadPerS).toBeCloseTo(deg(0.5), 9);
    expect(large.verdict).toBe('re-zero');
    const none = typed(12, 12, 60);
    expect(none.driftRadPerS).toBe(0);
    expect(none.verdict).toBe('measure-longer');
    const { found } = stillSentences(none, RUN_S, TOLERANCE);
    expect(found).toMatch(/No drift is proved.*Two readings of a screen with steps of 1°/);
    // Half an hour of the same tells more.
    expect(typed(12, 12, 1800).high95).toBeLessThan(none.high95 / 14);
  });
});
