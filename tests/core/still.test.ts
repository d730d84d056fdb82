import { describe, expect, it } from 'vitest';
import type { HeadingLog } from '../../src/core/channels/log';
import { quantumOf } from '../../src/core/gyro/quantum';
import { stillCheck, type StillCheck } from '../../src/core/gyro/still/stillCheck';
import { stillSentences } from '../../src/core/gyro/still/stillSentence';
import { STILL_SETTINGS } from '../../src/core/gyro/still/stillDefaults';
import { judgeStill } from '../../src/core/gyro/still/stillVerdict';
import { randomStream } from '../../src/core/stats/random';
import { simulateStillHeading } from '../../src/core/simulate/stillLog';
import { column, recordedTable } from './logs';
import { deg } from './support';

const RUN_S = 150;
const TOLERANCE = deg(2);

type HeadingStillLog = { kind: 'heading' } & HeadingLog;

const headingLog = (name: string): HeadingStillLog => {
  const rows = recordedTable(name);
  return {
    kind: 'heading',
    tS: column(rows, 't_s'),
    headingRad: column(rows, 'heading_deg', deg(1)),
  };
};

const still = (log: Parameters<typeof stillCheck>[0]) => stillCheck(log, RUN_S, TOLERANCE);

const simulated = (
  over: Partial<Parameters<typeof simulateStillHeading>[0]>,
  seed = 3,
): HeadingStillLog => {
  const { tS, headingRad } = simulateStillHeading(
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
  );
  return { kind: 'heading', tS, headingRad };
};

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
    expect(quantumOf(fine.headingRad)).toBe(0);
    // The common divisor of the gaps, not the smallest; and the step behind the decimals of a file.
    expect(quantumOf([0, 2, 5, 9, 4].map((ticks) => ticks * deg(0.25)))).toBeCloseTo(deg(0.25), 9);
    const sixteenths = [0, 0, 0, 1, 1, 1, 2, 2, 2, 1, 1, 1, 2, 2, 2, 3, 3, 3, 4, 4, 4, 5, 5, 5];
    const printed = sixteenths.map((ticks) => deg(Math.round(6.25 * ticks) / 100));
    expect(quantumOf(printed) / deg(0.0625)).toBeCloseTo(1, 1);
  });

  it('is the same for a log that starts later, or turned round', () => {
    const log = simulated({ driftRadPerS: deg(0.05) });
    const shifted = still({ ...log, tS: log.tS.map((t) => t + 1000) });
    const mirrored = still({ ...log, headingRad: log.headingRad.map((value) => -value) });
    const plain = still(log);
    expect(shifted.driftRadPerS).toBeCloseTo(plain.driftRadPerS, 9);
    expect(mirrored.driftRadPerS).toBeCloseTo(-plain.driftRadPerS, 9);
    expect(mirrored.low95).toBeCloseTo(-plain.high95, 9);
  });

  it('bears gaps and repeated time stamps', () => {
    const log = simulated({ driftRadPerS: deg(0.2), lengthS: 90 });
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
    const headingRad = log.headingRad.map(
      (value, i) => value + deg(6) * (1 - Math.exp(-(log.tS[i] ?? 0) / 80)),
    );
    expect(still({ ...log, headingRad }).warmUp?.changing).toBe(true);
    expect(still(log).warmUp?.changing).toBe(false);
  });

  it('of a sensor that warms up foretells the next run by its course, and subtracts nothing', () => {
    // 0.02·t + 3·(1 − e^(−t/60)) in tenths of a degree: the next 150 s turn by 3.23°.
    const tS = Float64Array.from({ length: 3751 }, (_, i) => i / 25);
    const headingRad = tS.map((t) =>
      deg(Math.round(10 * (0.02 * t + 3 * (1 - Math.exp(-t / 60)))) / 10),
    );
    const check = still({ kind: 'heading', tS, headingRad });
    expect(check.warmUp?.changing).toBe(true);
    expect(check.verdict).toBe('measure-longer');
    expect(check.nextRunLow95).toBeLessThan(deg(3.23 / 150));
    expect(check.nextRunHigh95).toBeGreaterThan(deg(3.23 / 150));
    // The mean of the log would be 0.038 °/s: 5.5° over the run.
    expect(check.nextRunHigh95).toBeLessThan(deg(0.036));
    const { found, next } = stillSentences(check, RUN_S, TOLERANCE);
    expect(found).toMatch(/warming up/);
    expect(next).toMatch(/^Subtract nothing yet: wait for /);
    const recorded = still(headingLog('still-warming'));
    expect(recorded.warmUp?.changing).toBe(true);
    expect(recorded.warmUp?.timeConstantS).toBeGreaterThan(30);
    expect(recorded.warmUp?.timeConstantS).toBeLessThan(110);
    expect(recorded.nextRunLow95).toBeLessThan(deg(0.027842));
    expect(recorded.nextRunHigh95).toBeGreaterThan(deg(0.027842));
    expect(recorded.verdict).not.toBe('correctable');
  });

  it('tells a healthy sensor to be left as it is, and hardly ever to be corrected', () => {
    const advice = Array.from({ length: 60 }, (_, seed) => {
      const check = still(simulated({ lengthS: 30, periodS: 0.04 }, seed));
      return { check, ...stillSentences(check, RUN_S, TOLERANCE) };
    });
    // An interval of 95 % leaves zero out in a few of sixty.
    const isProved = ({ low95, high95 }: StillCheck) => low95 > 0 || high95 < 0;
    const open = advice.filter(({ check }) => !isProved(check) && check.warmUp?.hinted !== true);
    expect(open.length).toBeGreaterThanOrEqual(50);
    for (const { check, next } of open) {
      expect(['steady', 'measure-longer']).toContain(check.verdict);
      expect(next).toMatch(/^Leave it as it is/);
    }
    expect(advice.filter(({ check }) => check.verdict === 'steady').length).toBeGreaterThan(2);
    // What a longer check is asked for, it gives.
    const longer = Array.from({ length: 20 }, (_, seed) =>
      still(simulated({ lengthS: 150, periodS: 0.04 }, seed)),
    );
    expect(longer.filter(({ verdict }) => verdict === 'steady').length).toBeGreaterThan(17);
  });

  it('finds a drift of several steps between two readings', () => {
    const tS = Float64Array.from({ length: 300 }, (_, i) => i / 10);
    const headingRad = tS.map((t) => deg(Math.round(33 * t) / 100));
    const check = still({ kind: 'heading', tS, headingRad });
    expect(check.quantum).toBeCloseTo(deg(0.01), 9);
    expect(check.driftRadPerS).toBeCloseTo(deg(0.33), 5);
    expect(check.touched).toEqual([]);
    expect(check.verdict).toBe('re-zero');
    const recorded = still(headingLog('still-fast'));
    holds(recorded, 0.692598);
    expect(recorded.verdict).toBe('re-zero');
  });

  it('learns nothing from a rate in whole degrees that reads 0', () => {
    const tS = Float64Array.from({ length: 301 }, (_, i) => i / 10);
    const check = still({ kind: 'rate', tS, rateRadPerS: new Float64Array(301) });
    expect(check.verdict).toBe('measure-longer');
    expect(check.neededS).toBeNull();
    expect(stillSentences(check, RUN_S, TOLERANCE).next).toMatch(
      /^Look at the heading over 2:30 min instead/,
    );
    const recorded = recordedTable('still-zero-rate');
    expect(
      still({
        kind: 'rate',
        tS: column(recorded, 't_s'),
        rateRadPerS: column(recorded, 'rate_deg_per_s', deg(1)),
      }).verdict,
    ).toBe('measure-longer');
  });

  it('foretells the next run of a drift that wanders, and says that no check can help', () => {
    const check = still(headingLog('still-wandering'));
    expect(check.nextRunLow95).toBeLessThan(deg(-0.012344));
    expect(check.nextRunHigh95).toBeGreaterThan(deg(-0.012344));
    expect(check.wanderRadPerS).toBeGreaterThan(deg(0.003));
    expect(check.verdict).toBe('re-anchor');
    expect(stillSentences(check, RUN_S, TOLERANCE).next).toMatch(/square up on the way/);
  });

  it('refuses a robot that drives', () => {
    expect(still(headingLog('run-log')).verdict).toBe('not-still');
    const lying = simulated({});
    const motors = [lying.tS.map((t) => 40 * t)];
    expect(still({ ...lying, motors }).verdict).toBe('not-still');
    expect(still({ ...lying, motors: [lying.tS.map((t) => Math.sin(t))] }).verdict).not.toBe(
      'not-still',
    );
    // Swinging to and fro without a pause is no noise.
    const swinging = lying.tS.map((t) => deg(15 * Math.sin(3 * t)));
    expect(still({ kind: 'heading', tS: lying.tS, headingRad: swinging }).verdict).toBe(
      'not-still',
    );
  });

  it('judges by what is proved, in the order of what it costs', () => {
    const judge = (
      drift: number,
      half: number,
      over: Partial<Parameters<typeof judgeStill>[0]>,
    ) => {
      const mean = { low95: deg(drift - half), high95: deg(drift + half) };
      return judgeStill(
        {
          driftRadPerS: deg(drift),
          ...mean,
          nextRun: mean,
          cleanS: 60,
          walk: { radPerSqrtS: deg(0.01), degreesOfFreedom: 50 },
          quantumRad: deg(0.1),
          hiddenRadPerS: 0,
          wanderRadPerS: 0,
          changing: false,
          hinted: false,
          settledS: 0,
          driven: false,
          ...over,
        },
        RUN_S,
        TOLERANCE,
        STILL_SETTINGS,
      ).verdict;
    };
    // D = 0.6°, r = 0.24°: within the half of 2°.
    expect(judge(0.002, 0.002, {})).toBe('steady');
    expect(judge(0.05, 0.004, {})).toBe('correctable');
    expect(judge(0.3, 0.01, {})).toBe('re-zero');
    expect(judge(0.05, 0.04, {})).toBe('measure-longer');
    // Small enough to be corrected, but not proved to be there.
    expect(judge(0.003, 0.0045, {})).toBe('measure-longer');
    expect(judge(0.05, 0.004, { cleanS: 9 })).toBe('not-enough-still-time');
    // The walk alone, or the wander, uses up what drift may: no length of log helps.
    expect(judge(0.05, 0.04, { walk: { radPerSqrtS: deg(0.05), degreesOfFreedom: 50 } })).toBe(
      're-anchor',
    );
    expect(judge(0.05, 0.01, { wanderRadPerS: deg(0.004) })).toBe('re-anchor');
    const wide = { low95: deg(0), high95: deg(0.1) };
    expect(judge(0.05, 0.004, { nextRun: wide })).toBe('measure-longer');
    expect(judge(0.05, 0.004, { nextRun: wide, changing: true })).toBe('measure-longer');
    expect(judge(0.05, 0.004, { driven: true })).toBe('not-still');
  });

  it('speaks of the run: so many degrees, so far to the side', () => {
    const check = { ...still(simulated({ driftRadPerS: deg(0.08), lengthS: 240 })) };
    const { found, means, next } = stillSentences(check, RUN_S, TOLERANCE);
    expect(found).toMatch(/^The heading creeps to the left by 0\.0[78]\d* °\/s/);
    expect(means).toMatch(
      /Over a run of 2:30 min that comes to 1[12].* metre driven then lands (19|20|21).* cm to the side/,
    );
    expect(next).toMatch(/subtract.*less than 1° is left/);
  });
});
