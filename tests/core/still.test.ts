import { describe, expect, it } from 'vitest';
import { stillCoverage } from '../../scripts/lib/coverage';
import { allanDeviation } from '../../src/core/gyro/allan';
import { firstAtOrAfter } from '../../src/core/gyro/log';
import { quantumOf } from '../../src/core/gyro/quantum';
import { stillCheck, type StillLog } from '../../src/core/gyro/stillCheck';
import { stillSentences } from '../../src/core/gyro/stillSentence';
import { STILL_SETTINGS } from '../../src/core/gyro/stillDefaults';
import { judgeStill } from '../../src/core/gyro/stillVerdict';
import { unwrapHeadings } from '../../src/core/gyro/unwrap';
import { randomStream } from '../../src/core/simulate/random';
import { simulateStillHeading, simulateStillRate } from '../../src/core/simulate/stillLog';
import { column, recordedTable } from './logs';
import { deg } from './support';

const RUN_S = 150;
const TOLERANCE = deg(2);

const headingLog = (name: string): StillLog => {
  const rows = recordedTable(name);
  return {
    kind: 'heading',
    tS: column(rows, 't_s'),
    headingRad: column(rows, 'heading_deg', deg(1)),
  };
};

const still = (log: StillLog) => stillCheck(log, RUN_S, TOLERANCE);

const simulated = (
  over: Partial<Parameters<typeof simulateStillHeading>[0]>,
  seed = 3,
): StillLog => ({
  kind: 'heading',
  ...simulateStillHeading(
    {
      driftRadPerS: 0,
      walkRadPerSqrtS: deg(0.01),
      quantumRad: deg(0.1),
      lengthS: 60,
      periodS: 0.02,
      jitterS: 0.002,
      ...over,
    },
    randomStream(seed, 0, 'test'),
  ),
});

describe('the still check', () => {
  // 99.9 % is wider than 95 % by 3.29/1.96.
  const holds = (check: ReturnType<typeof still>, driftDegPerS: number) => {
    const half = ((check.high95 - check.low95) / 2) * (3.29 / 1.96);
    expect(Math.abs(check.driftRadPerS - deg(driftDegPerS))).toBeLessThan(half);
  };

  it('finds the drift of the recorded logs, and what it does to a run', () => {
    const drifting = still(headingLog('still-drifting'));
    holds(drifting, -0.56374);
    expect(drifting.verdict).toBe('re-zero');
    expect(drifting.headingErrorAtEndRad).toBeCloseTo(drifting.driftRadPerS * RUN_S, 12);
    expect(drifting.touched).toEqual([]);
    const quiet = still(headingLog('still-quiet'));
    holds(quiet, -0.014857);
    // One tick of a whole degree in a minute proves next to nothing.
    expect(quiet.verdict).toBe('measure-longer');
    expect(quiet.neededS).toBeGreaterThan(60);
  });

  it('leaves out the moments in which it was touched, and nothing else', () => {
    const check = still(headingLog('still-touched'));
    holds(check, 0.060387);
    expect(check.touched).toHaveLength(2);
    for (const [i, [at, lasting]] of [
      [23.93, 0.81],
      [54.84, 0.77],
    ].entries()) {
      expect(check.touched[i]?.fromS).toBeLessThan(at ?? 0);
      expect(check.touched[i]?.toS).toBeGreaterThan((at ?? 0) + (lasting ?? 0));
    }
    expect(check.cleanS).toBeGreaterThan(70);
    expect(check.cleanS).toBeLessThan(75);
  });

  it('reads rates as well, and sees that they hang together', () => {
    const rows = recordedTable('still-rate-20min');
    const check = still({
      kind: 'rate',
      tS: column(rows, 't_s'),
      rateRadPerS: column(rows, 'rate_deg_per_s', deg(1)),
    });
    holds(check, -0.025509);
    expect(check.cleanS).toBeGreaterThan(1190);
  });

  it('finds its step: whole degrees, tenths, or none', () => {
    expect(still(headingLog('still-quiet')).quantum).toBeCloseTo(deg(1), 9);
    expect(still(headingLog('still-touched')).quantum).toBeCloseTo(deg(0.1), 9);
    const fine = simulated({ quantumRad: 0 });
    expect(quantumOf(fine.kind === 'heading' ? fine.headingRad : [])).toBe(0);
  });

  it('is the same for a log that starts later, or turned round', () => {
    const log = simulated({ driftRadPerS: deg(0.05) });
    if (log.kind !== 'heading') return;
    const shifted = still({ ...log, tS: log.tS.map((t) => t + 1000) });
    const mirrored = still({ ...log, headingRad: log.headingRad.map((value) => -value) });
    const plain = still(log);
    expect(shifted.driftRadPerS).toBeCloseTo(plain.driftRadPerS, 9);
    expect(mirrored.driftRadPerS).toBeCloseTo(-plain.driftRadPerS, 9);
    expect(mirrored.low95).toBeCloseTo(-plain.high95, 9);
  });

  it('bears gaps and repeated time stamps', () => {
    const log = simulated({ driftRadPerS: deg(0.2), lengthS: 90 });
    if (log.kind !== 'heading') return;
    const keep = [...log.tS.keys()].filter((i) => (log.tS[i] ?? 0) < 30 || (log.tS[i] ?? 0) > 40);
    const pick = (values: Float64Array) => Float64Array.from(keep, (i) => values[i] ?? 0);
    const tS = pick(log.tS);
    tS[10] = tS[9] ?? 0;
    const check = still({ kind: 'heading', tS, headingRad: pick(log.headingRad) });
    holds(check, 0.2);
    expect(check.cleanS).toBeCloseTo(80, 0);
  });

  it('says warm-up when the drift itself dies away', () => {
    const log = simulated({ lengthS: 300, walkRadPerSqrtS: deg(0.005) });
    if (log.kind !== 'heading') return;
    const headingRad = log.headingRad.map(
      (value, i) => value + deg(6) * (1 - Math.exp(-(log.tS[i] ?? 0) / 80)),
    );
    expect(still({ ...log, headingRad }).warmUp?.changing).toBe(true);
    expect(still(log).warmUp?.changing).toBe(false);
  });

  it('judges by what is proved', () => {
    const walk = { radPerSqrtS: deg(0.01), freedom: 50 };
    const judge = (drift: number, half: number, cleanS = 60, radPerSqrtS = deg(0.01)) =>
      judgeStill(
        {
          driftRadPerS: deg(drift),
          low95: deg(drift - half),
          high95: deg(drift + half),
          cleanS,
          walk: { ...walk, radPerSqrtS },
          quantumRad: deg(0.1),
        },
        RUN_S,
        TOLERANCE,
        STILL_SETTINGS,
      ).verdict;
    expect(judge(0.0005, 0.0005)).toBe('steady');
    expect(judge(0.05, 0.004)).toBe('correctable');
    expect(judge(0.3, 0.01)).toBe('re-zero');
    expect(judge(0.05, 0.04)).toBe('measure-longer');
    expect(judge(0.05, 0.004, 9)).toBe('not-enough-still-time');
    // The walk alone is more than the run can bear: no length of log helps.
    expect(judge(0.05, 0.04, 60, deg(0.3))).toBe('re-zero');
  });

  it('speaks of the run: so many degrees, so far to the side', () => {
    const check = { ...still(simulated({ driftRadPerS: deg(0.08), lengthS: 120 })) };
    const { found, means, next } = stillSentences(check, RUN_S, TOLERANCE);
    expect(found).toMatch(/^The heading creeps to the left by 0\.0[78]\d* °\/s/);
    expect(means).toMatch(
      /Over a run of 2:30 min that comes to 1[12].* metre driven then lands (19|20|21).* cm to the side/,
    );
    expect(next).toMatch(/subtract/);
  });
});

describe('coverage of its interval', () => {
  // Standard error of a share of 600 logs: 0.009.
  it.each([
    { quantumDeg: 0, lengthS: 15, walkDeg: 0.02 },
    { quantumDeg: 0.1, lengthS: 15, walkDeg: 0.02 },
    { quantumDeg: 1, lengthS: 15, walkDeg: 0.02 },
    { quantumDeg: 0.1, lengthS: 60, walkDeg: 0.02 },
  ])('is at least 93 % for steps of $quantumDeg° and $lengthS s', (kind) => {
    const { share, walkDominates } = stillCoverage({ kind: 'heading', ...kind }, 600, 5);
    expect(share).toBeGreaterThanOrEqual(0.93);
    if (walkDominates) expect(share).toBeLessThanOrEqual(0.985);
  });

  it('would be noticed if the interval were a quarter too narrow', () => {
    const random = randomStream(8, 0, 'narrow');
    let held = 0;
    for (let i = 0; i < 600; i += 1) {
      const driftRadPerS = 0.1 * random.normal() * deg(1);
      const log = simulateStillHeading(
        {
          driftRadPerS,
          walkRadPerSqrtS: deg(0.02),
          quantumRad: 0,
          lengthS: 15,
          periodS: 0.02,
          jitterS: 0,
        },
        random,
      );
      const { driftRadPerS: found, low95, high95 } = still({ kind: 'heading', ...log });
      if (Math.abs(found - driftRadPerS) < (0.75 * (high95 - low95)) / 2) held += 1;
    }
    expect(held / 600).toBeLessThan(0.93);
  });
});

describe('Allan deviation', () => {
  it('of white noise is N/√τ, and its bias instability is not reached', () => {
    const { rateRadPerS } = simulateStillRate(
      {
        driftRadPerS: 0,
        walkRadPerSqrtS: deg(0.01),
        quantumRadPerS: 0,
        lengthS: 600,
        periodS: 0.02,
        jitterS: 0,
      },
      randomStream(2, 0, 'allan'),
    );
    const { points, randomWalkRadPerSqrtS } = allanDeviation(rateRadPerS, 0.02);
    expect(randomWalkRadPerSqrtS / deg(0.01)).toBeCloseTo(1, 1);
    const atOne = points.find(({ tauS }) => tauS > 1);
    expect((atOne?.deviationRadPerS ?? 0) * Math.sqrt(atOne?.tauS ?? 0)).toBeCloseTo(deg(0.01), 4);
    expect(points.at(-1)?.tauS).toBeLessThanOrEqual(60);
  });

  it('agrees with the textbook on a short record', () => {
    // Three rates at 1 s: σ²(1 s) = mean of (differences)²/2 = (1² + 3²)/2/2.
    const { points } = allanDeviation(Float64Array.from([0, 1, 4, ...Array<number>(7).fill(4)]), 1);
    expect(points[0]?.deviationRadPerS).toBeCloseTo(Math.sqrt((1 + 9) / (2 * 9)), 12);
  });
});

describe('headings and times', () => {
  it('are made continuous where a sensor wraps round', () => {
    const wrapped = Float64Array.from([170, 178, -178, -170, 175].map(deg));
    const continuous = [...unwrapHeadings(wrapped)].map((value) => Math.round(value / deg(1)));
    expect(continuous).toEqual([170, 178, 182, 190, 175]);
  });

  it('are found by halving', () => {
    const tS = Float64Array.from([0, 1, 1, 2]);
    expect([firstAtOrAfter(tS, 1), firstAtOrAfter(tS, 1.5), firstAtOrAfter(tS, 9)]).toEqual([
      1, 3, 4,
    ]);
  });
});
