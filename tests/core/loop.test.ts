import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  countSentences,
  passSentences,
  safeSpeedMPerS,
  windowOf,
  periodFromCount,
  periodFromPasses,
} from '../../src/core/loop/loopByHand';
import { randomStream } from '../../src/core/stats/random';
import { loopStudy, offInRecord } from '../../src/core/loop/loopStudy';
import { loopTiming, missedShare, stepPerRound } from '../../src/core/loop/loopTiming';
import { sensorLag } from '../../src/core/loop/sensorLag';
import { deg } from './support';

const clock = (n: number, periodS: number) => Array.from({ length: n }, (_, i) => i * periodS);
/** Turning left and right, as a smooth swing of a radian. */
const swing = (t: number) => Math.sin(2.5 * t) + 0.3 * Math.sin(1.1 * t + 1);

describe('the loop of a program', () => {
  it('is timed by its mean, its usual and its worst round, repeated time stamps being one', () => {
    const tS = [0, 0.02, 0.02, 0.04, 0.1, 0.12];
    const found = loopTiming(tS);
    expect(found?.rounds).toBe(4);
    expect(found?.meanS).toBeCloseTo(0.03, 9);
    expect(found?.medianS).toBeCloseTo(0.02, 9);
    expect(found?.worstS).toBeCloseTo(0.06, 9);
    expect(found?.worstAtS).toBe(0.04);
    expect(found?.late).toBe(1);
    expect(loopTiming([1, 1])).toBeNull();
  });

  it('steps over a value as a simulated wait for exactly one degree does', () => {
    // At 180°/s every 20 ms: steps of 3.6°.
    expect(stepPerRound(deg(180), 0.02)).toBeCloseTo(deg(3.6), 12);
    fc.assert(
      fc.property(fc.double({ min: 60, max: 700, noNaN: true }), (rate) => {
        const step = rate * 0.02;
        const waits = 2000;
        let missed = 0;
        for (let i = 0; i < waits; i += 1) {
          // Whole degrees as a sensor shows them, from a start that is any share of a step before.
          const first = 90 - step * 20 + (step * i) / waits;
          const shown = Array.from({ length: 40 }, (_, k) => Math.floor(first + k * step));
          if (!shown.includes(90)) missed += 1;
        }
        expect(missed / waits).toBeCloseTo(missedShare(rate, 0.02, 1), 1);
      }),
      { numRuns: 30 },
    );
  });

  it.each([0, 0.03, 0.07, -0.05])('shows a heading that comes %s s after the encoders', (lagS) => {
    const tS = clock(600, 0.02);
    const encoders = tS.map((t) => 40 * swing(t));
    // Read in whole degrees, with the lag.
    const heading = tS.map((t) => deg(Math.round((180 / Math.PI) * swing(t - lagS))));
    const found = sensorLag(tS, heading, encoders, 0.02);
    expect(found?.lagS).toBeCloseTo(lagS, 2);
    expect(sensorLag(tS, heading.toReversed(), encoders, 0.02)).toBeNull();
    expect(
      sensorLag(
        tS,
        tS.map(() => 0),
        encoders,
        0.02,
      ),
    ).toBeNull();
  });

  it('says it in three sentences, and what the log does not show', () => {
    const tS = Float64Array.from(clock(600, 0.02), (t, i) => t + (i > 300 ? 0.08 : 0));
    const channel = (of: (t: number) => number) => tS.map(of);
    const log = {
      tS,
      columns: {
        headingRad: channel((t) => swing(t - 0.05)),
        leftMotorDegrees: channel((t) => -60 * swing(t)),
        rightMotorDegrees: channel((t) => 60 * swing(t)),
      },
    };
    const study = loopStudy(log, deg(180));
    expect(study?.sentences.found).toBe(
      'The loop comes round every 20.1 ms; the slowest round took 100.0 ms, at 6.0 s of the log.',
    );
    expect(study?.sentences.means).toMatch(/moves 3\.6° .*\(=\) misses it 72 % .*use ≥ or ≤/);
    expect(study?.sentences.means).toMatch(
      /heading sensor tells of a turn (4[89]|5[012]) ms after/,
    );
    expect(study?.sentences.next).toMatch(/^1 round of 599 took more than twice as long/);
    const without = loopStudy({ tS, columns: {} }, deg(180));
    expect(without?.sentences.means).toContain('this log does not show');
  });
});

describe('a loop without a log', () => {
  it('is as long as the time over the rounds that were counted', () => {
    const found = periodFromCount(500, 10);
    expect(found.periodS).toBeCloseTo(0.02, 12);
    expect(found.low95S).toBeCloseTo(9.7 / 501, 12);
    expect(found.high95S).toBeCloseTo(10.3 / 499, 12);
    const { found: said, means } = countSentences(found, deg(180));
    expect(said).toBe('The loop comes round every 20.0 ms on average (19.4 ms to 20.6 ms).');
    expect(means).toMatch(/^At 180°\/s the heading moves 3\.6° .* misses it 72 % of the time/);
  });

  it('is found again from passes that a simulated loop catches or misses', () => {
    const random = randomStream(1, 1, 'passes');
    const [periodS, extent, ratePerS] = [0.05, 0.01, 0.5];
    let held = 0;
    for (let bench = 0; bench < 400; bench += 1) {
      // It looks once a round, at any moment of it: seen when a look falls into the passing.
      const caught = Array.from({ length: 30 }, () => periodS * random.uniform()).filter(
        (look) => look < extent / ratePerS,
      ).length;
      const found = periodFromPasses({ passes: 30, caught, extent, ratePerS });
      if (found !== null && found.low95S <= periodS && periodS <= found.high95S) held += 1;
    }
    expect(held / 400).toBeGreaterThan(0.93);
    expect(held / 400).toBeLessThan(0.985);
  });

  it('is offered for the record only where the record is off', () => {
    const record = { loopPeriodS: 0.02, motors: { lagS: 0.04 } };
    expect(offInRecord({ periodS: 0.0202, motorLagS: null }, record)).toBeNull();
    expect(offInRecord({ periodS: 0.025, motorLagS: 0.06 }, record)).toBe(
      'Put a period of 25.0 ms and a lag of the motors of 60 ms into the record',
    );
  });

  it('has a bound alone where all passes were caught, or none', () => {
    const pass = { passes: 10, extent: deg(1), ratePerS: deg(90) };
    const all = periodFromPasses({ ...pass, caught: 10 });
    expect(all).toMatchObject({ low95S: 0, high95S: expect.closeTo(0.0154, 3) as number });
    expect(all && passSentences(all, { ...pass, caught: 10 }, { what: 'degree' }).found).toMatch(
      /^A round takes at most 15\.4 ms/,
    );
    const none = periodFromPasses({ ...pass, caught: 0 });
    expect(none).toMatchObject({ high95S: Infinity });
    expect(none && passSentences(none, { ...pass, caught: 0 }, { what: 'degree' }).next).toMatch(
      /wait with ≥ or ≤/,
    );
    expect(periodFromPasses({ ...pass, passes: 0, caught: 0 })).toBeNull();
  });

  it('tells the speed at which no line is missed, and not that ≥ would hold behind it', () => {
    const found = { periodS: 0.04, low95S: 0.03, high95S: 0.05 };
    const speed = safeSpeedMPerS(found, 0.02) ?? 0;
    expect(speed).toBeCloseTo(0.2, 12);
    // A program that looks every 50 ms, begun at any moment, looks twice on 2 cm.
    for (let first = 0; first < 0.05; first += 0.001) {
      const looks = [0, 1, 2, 3].map((round) => (first + 0.05 * round) * speed);
      expect(looks.filter((atM) => atM <= 0.02).length).toBeGreaterThanOrEqual(2);
    }
    const passes = { passes: 10, caught: 5 };
    const line = passSentences(found, passes, { what: 'line', widthM: 0.02 });
    expect(line.next).toMatch(/^Pass it at 20(\.0)? cm\/s at most/);
    expect(line.next).not.toMatch(/hold from then on/);
    const never = { ...found, high95S: Infinity };
    expect(
      passSentences(never, { passes: 9, caught: 0 }, { what: 'line', widthM: 0.02 }).next,
    ).toMatch(/Pass it slower until/);
  });

  it('tells the window of an arm that no round steps over, through 0 as well', () => {
    const found = { periodS: 0.04, low95S: 0.03, high95S: 0.05 };
    const rate = deg(180);
    for (const wanted of [deg(90), deg(355), 0]) {
      const window = windowOf(found, wanted, rate);
      if (window === null) throw new Error('no window');
      const { fromRad, toRad } = window;
      const isIn = (at: number) =>
        toRad < fromRad ? at >= fromRad || at <= toRad : at >= fromRad && at <= toRad;
      for (let first = 0; first < 0.05; first += 0.001) {
        const angles = Array.from({ length: 60 }, (_, round) => rate * (first + 0.05 * round));
        const shown = angles.map((angle) => angle % (2 * Math.PI));
        expect(shown.some(isIn)).toBe(true);
      }
    }
    const arm = { what: 'arm', wantedRad: deg(355), ratePerS: rate } as const;
    expect(passSentences(found, { passes: 10, caught: 5 }, arm).next).toMatch(
      /^Wait for 355(\.0)?° or more, or 4(\.0)?° or less: the angle begins anew at 0/,
    );
    expect(windowOf(found, 0, deg(7200))).toBeNull();
  });
});
