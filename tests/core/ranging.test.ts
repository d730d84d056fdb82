import { describe, expect, it } from 'vitest';
import { approachPlan, type ApproachPlan } from '../../src/core/ranging/approach';
import { gauge } from '../../src/core/ranging/gauge';
import { rangeCalibration } from '../../src/core/ranging/rangeCalibration';
import { neighbour, nextDistance } from '../../src/core/ranging/benchPlan';
import { rangeStudy } from '../../src/core/ranging/rangeStudy';
import {
  approachFrom,
  approachSentence,
  readsOf,
  stopStudy,
} from '../../src/core/ranging/stopStudy';
import { pipit } from '../../src/server/demo/scenario';
import { stopModel } from '../../src/core/ranging/stopModel';
import { randomStream } from '../../src/core/stats/random';
import { mean } from '../../src/core/stats/moments';
import { number, rowsOf, trueOf, truth, within } from '../support/rows';

describe('stops', () => {
  const trials = rowsOf('stop-trials.csv').map((row) => ({
    speedMPerS: number(row, 'speed_mm_per_s') / 1000,
    thresholdM: number(row, 'threshold_cm') / 100,
    stopM: number(row, 'true_gap_cm') / 100,
  }));

  it('as recorded give lag and braking', () => {
    const found = stopModel(trials);
    if (found === null) throw new Error('nothing found');
    within(found.lagLow95S, trueOf('stop-trials.csv', 'lag_s'), found.lagHigh95S);
    const ofBraking = found.brakingMPerS2 ?? Number.NaN;
    const braking = trueOf('stop-trials.csv', 'braking_m_per_s2');
    expect(Math.abs(1 / ofBraking - 1 / braking)).toBeLessThan(0.15);
    expect(found.residualSdM).toBeLessThan(2 * trueOf('stop-trials.csv', 'sd_m'));
  });

  it('at one speed are all lag, and never a push forward', () => {
    const one = [0.15, 0.2].map((thresholdM) => ({
      speedMPerS: 0.2,
      thresholdM,
      stopM: thresholdM - 0.02,
    }));
    expect(stopModel(one)).toMatchObject({ brakingMPerS2: null });
    expect(stopModel(one)?.lagS).toBeCloseTo(0.1, 9);
    expect(stopModel(one)?.overrunM(0.4)).toBeCloseTo(0.04, 9);
    // Longer at low speed than at high: no lag and no braking do that.
    const odd = [0.1, 0.2, 0.3, 0.4].map((speedMPerS) => ({
      speedMPerS,
      thresholdM: 0.2,
      stopM: 0.2 - 0.03 + 0.02 * speedMPerS,
    }));
    const found = stopModel(odd);
    expect(found?.lagS).toBeGreaterThanOrEqual(0);
    expect(found?.brakingMPerS2 ?? 1).toBeGreaterThan(0);
    expect(stopModel(trials.slice(0, 1))).toBeNull();
  });
});

describe('a bench of distance sensors', () => {
  const readings = rowsOf('distance-bench.csv').map((row) => ({
    unit: row.unit ?? '',
    trueM: number(row, 'tape_cm') / 100,
    readingM: row.reading_cm === '' ? null : number(row, 'reading_cm') / 100,
  }));

  it('as recorded gives offset and scale of each within their intervals, and the one that reads long', () => {
    const found = rangeCalibration(readings, 0.018);
    expect(found?.units.map(({ unit }) => unit)).toEqual(['D1', 'D2', 'D3', 'D4']);
    const of = truth['distance-bench.csv'] as unknown as Record<
      string,
      { offset_cm: number; scale: number }
    >;
    for (const one of found?.units ?? []) {
      const { offset_cm: offset = NaN, scale = NaN } = of[one.unit] ?? {};
      within(one.offsetLow95M, offset / 100, one.offsetHigh95M);
      within(one.scaleLow95 ?? NaN, scale, one.scaleHigh95 ?? NaN);
    }
    expect(found?.units.filter(({ withinTolerance }) => !withinTolerance)).toMatchObject([
      { unit: 'D3' },
    ]);
  });

  it('leaves a dead zone and what is beyond the range out of the line', () => {
    const made = [0.03, 0.1, 0.2, 0.4, 0.8, 1.6].flatMap((trueM) =>
      [-0.001, 0, 0.001].map((noise) => ({
        unit: 'D',
        trueM,
        // Nearer than 5 cm it reads 5; beyond 1 m it hears something else.
        readingM: (trueM < 0.05 ? 0.05 : trueM > 1 ? 1.1 : 0.004 + 1.01 * trueM) + noise,
      })),
    );
    const [unit] = rangeCalibration(made, 0.02)?.units ?? [];
    expect(unit).toMatchObject({ validFromM: 0.1, validToM: 0.8 });
    expect(unit?.offsetM).toBeCloseTo(0.004, 6);
    expect(unit?.scaleFactor).toBeCloseTo(1.01, 6);
    expect(unit?.distances.map(({ isOnLine }) => isOnLine)).toEqual([
      false,
      true,
      true,
      true,
      true,
      false,
    ]);
  });

  it('with all units at one distance says which differs from the others, and no scale', () => {
    const at = (unit: string, value: number) =>
      [0, 0.001, -0.001].map((noise) => ({ unit, trueM: 0.3, readingM: value + noise }));
    const made = [...at('D1', 0.301), ...at('D2', 0.299), ...at('D3', 0.32), ...at('D4', 0.3)];
    const found = rangeCalibration(made, 0.01);
    expect(found?.against).toBe('other units');
    expect(found?.units.map(({ scaleFactor }) => scaleFactor)).toEqual([null, null, null, null]);
    expect(found?.units[2]?.offsetM).toBeCloseTo(0.02, 9);
    expect(found?.units.map(({ withinTolerance }) => withinTolerance)).toEqual([
      true,
      true,
      false,
      true,
    ]);
    expect(rangeCalibration([{ unit: 'D1', trueM: 0.1, readingM: null }], 0.01)).toBeNull();
  });
});

describe('the measurer', () => {
  const readings = rowsOf('tape-gauge.csv').map((row) => ({
    part: row.part ?? '',
    person: row.person ?? '',
    valueM: number(row, 'reading_cm') / 100,
  }));

  it('as recorded repeats himself as truly, and differs from others as they do', () => {
    const found = gauge(readings);
    if (found === null) throw new Error('nothing found');
    const repeat = trueOf('tape-gauge.csv', 'repeatability_cm') / 100;
    // 36 degrees of freedom and more: within a third.
    expect(Math.abs(found.repeatabilitySdM / repeat - 1)).toBeLessThan(0.33);
    expect(found.gaugeSdM ** 2).toBeCloseTo(
      found.repeatabilitySdM ** 2 + found.reproducibilitySdM ** 2,
      12,
    );
  });

  it('is told by the textbook’s analysis of variance', () => {
    // Two parts, two persons, two readings each; mean squares by hand: within 0.25, together 0.25 (pooled).
    const made = [
      ['1', 'A', 10],
      ['1', 'A', 11],
      ['1', 'B', 12],
      ['1', 'B', 13],
      ['2', 'A', 20],
      ['2', 'A', 21],
      ['2', 'B', 22],
      ['2', 'B', 23],
    ].map(([part, person, valueM]) => ({
      part: String(part),
      person: String(person),
      valueM: Number(valueM),
    }));
    const found = gauge(made);
    // Within: 4 cells × 0.5 = 2 over 4; together 0 over 1: pooled 2/5. Persons: 4·2·1 = 8 over 1.
    expect(found?.repeatabilitySdM).toBeCloseTo(Math.sqrt(0.4), 9);
    expect(found?.reproducibilitySdM).toBeCloseTo(Math.sqrt((8 - 0.4) / 4), 9);
    expect(gauge(made.slice(1))).toBeNull();
    expect(gauge(made.filter(({ person }) => person === 'A'))).toBeNull();
  });
});

describe('an approach', () => {
  const plan = (part: Partial<ApproachPlan>): ApproachPlan => ({
    wantedM: 0.05,
    speedMPerS: 0.3,
    samplePeriodS: 0.02,
    latencyS: 0.05,
    brakingMPerS2: 1.5,
    confirmations: 1,
    offsetM: 0.01,
    scaleFactor: 1.02,
    noiseM: 0.003,
    startGapM: 0.6,
    ...part,
  });

  /** Driven by itself: a reading each period, the first so many in a row at or under the threshold. */
  function driven(of: ApproachPlan, thresholdM: number, seed: number): number {
    const random = randomStream(seed, 1, 'approach');
    let gap = of.startGapM - random.uniform() * of.speedMPerS * of.samplePeriodS;
    for (let inRow = 0; ; gap -= of.speedMPerS * of.samplePeriodS) {
      const reading = of.offsetM + of.scaleFactor * gap + of.noiseM * random.normal();
      inRow = reading <= thresholdM ? inRow + 1 : 0;
      if (inRow >= of.confirmations) break;
    }
    return gap - of.speedMPerS * of.latencyS - of.speedMPerS ** 2 / (2 * of.brakingMPerS2);
  }

  it.each([0.1, 0.2, 0.3, 0.5].flatMap((speed) => [1, 2, 3].map((k) => [speed, k] as const)))(
    'at %d m/s with %i confirmations stops where it says, and scatters as it says',
    (speedMPerS, confirmations) => {
      const of = plan({ speedMPerS, confirmations, noiseM: 0.004 });
      const answer = approachPlan(of);
      if (answer === null) throw new Error('no answer');
      expect(answer.expectedGapM).toBeCloseTo(of.wantedM, 6);
      const stops = Array.from({ length: 500 }, (_, i) => driven(of, answer.thresholdReadingM, i));
      const sd = Math.sqrt(mean(stops.map((stop) => (stop - mean(stops)) ** 2)));
      expect(Math.abs(mean(stops) - of.wantedM)).toBeLessThan(answer.gapSdM / 3);
      expect(sd / answer.gapSdM).toBeGreaterThan(0.85);
      expect(sd / answer.gapSdM).toBeLessThan(1.15);
      const inside = stops.filter((s) => s >= answer.gapLow95M && s <= answer.gapHigh95M).length;
      expect(inside / 500).toBeGreaterThan(0.92);
    },
  );

  it('without noise scatters by the step between two readings alone, and later for each confirmation', () => {
    const still = approachPlan(plan({ noiseM: 0 }));
    expect(still?.gapSdM).toBeCloseTo((0.3 * 0.02) / Math.sqrt(12), 4);
    const three = approachPlan(plan({ noiseM: 0, confirmations: 3 }));
    const later = (three?.thresholdReadingM ?? 0) - (still?.thresholdReadingM ?? 0);
    expect(later).toBeCloseTo(2 * 0.3 * 0.02 * 1.02, 4);
    expect(still?.timeOutS).toBeGreaterThan((0.6 - 0.05) / 0.3);
  });

  it('that cannot stop in time has no threshold', () => {
    expect(approachPlan(plan({ startGapM: 0.08 }))).toBeNull();
    expect(approachPlan(plan({ brakingMPerS2: 0.05 }))).toBeNull();
  });
});

describe('what stops and sensors say', () => {
  const trials = [0.1, 0.1, 0.3, 0.3].map((speedMPerS, i) => ({
    speedMPerS,
    thresholdM: 0.2,
    stopM: 0.2 - 0.08 * speedMPerS - speedMPerS ** 2 / 4 + (i % 2 === 0 ? 4e-4 : -4e-4),
  }));
  const wanted = {
    wantedM: 0.05,
    speedMPerS: 0.3,
    confirmations: 1,
    startGapM: 0.6,
    samplePeriodS: 0.02,
  };

  it('is the lag, the way at each speed, and the threshold in what the sensor reads', () => {
    const study = stopStudy(trials);
    if (study === null) throw new Error('nothing found');
    expect(study.sentences.found).toMatch(
      /11 mm past it at 10 cm\/s and 46 mm past it at 30 cm\/s/,
    );
    expect(study.sentences.means).toMatch(/drives on for 80 ms \(\d+ ms to \d+ ms\)/);
    const reads = { offsetM: 0.016, scaleFactor: 1, noiseM: 0 };
    const answer = approachFrom(study.model, reads, wanted);
    // Wanted gap and the way that is measured, in a sensor that reads 16 mm long.
    expect(answer?.thresholdReadingM).toBeCloseTo(0.05 + study.model.overrunM(0.3) + 0.016, 3);
    expect(approachSentence(answer, wanted)).toMatch(/when it reads 11\d mm or less/);
    expect(
      approachSentence(approachFrom(study.model, reads, { ...wanted, startGapM: 0.07 }), wanted),
    ).toMatch(/cannot stop 5 cm before the wall/);
    expect(stopStudy(trials.slice(0, 2))?.sentences.next).toMatch(/^Stop from another speed/);
  });

  it('reads as it was measured, and else as its record says', () => {
    const record = { offsetM: 0, scaleFactor: 1, noiseM: 0.003 };
    expect(readsOf(pipit, null)).toEqual(record);
    const measured = rangeStudy(
      [0.1, 0.3, 0.6].flatMap((trueM) =>
        [-0.001, 0, 0.001].map((off) => ({
          unit: 'D3',
          trueM,
          readingM: 1.01 * trueM + 0.01 + off,
        })),
      ),
      'D3',
      0.012,
    );
    expect(measured?.sentences?.found).toMatch(
      /^D3 reads 11\.0 mm too long at 10 cm and 16\.0 mm too long at 60 cm/,
    );
    expect(measured?.sentences?.means).toMatch(/^It is not within 12 mm\. No echo of 9 was lost/);
    expect(readsOf(pipit, measured?.value ?? null)).toMatchObject({
      scaleFactor: expect.closeTo(1.01, 9) as number,
    });
    const one = rangeStudy(
      [
        { unit: 'D3', trueM: 0.1, readingM: 0.1 },
        { unit: 'D3', trueM: 0.1, readingM: 0.11 },
      ],
      'D3',
      0.01,
    );
    expect(one?.value).toBeNull();
  });

  it('of a bench the next distance comes when the one before has its readings', () => {
    const six = Array.from({ length: 6 }, () => ({ trueM: 0.05 }));
    expect(nextDistance(0.05, six.slice(1))).toBe(0.05);
    expect(nextDistance(0.05, six)).toBe(0.1);
    expect(neighbour(0.05, -1)).toBe(0.05);
    expect(neighbour(1.6, 1)).toBe(1.6);
    expect(neighbour(0.25, 1)).toBe(0.3);
  });
});
