import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { countingWidthM, lineSpeed, shareOnLine } from '../../src/core/light/lineSpeed';
import { lineThreshold } from '../../src/core/light/lineThreshold';
import { presence, presenceFromPasses } from '../../src/core/presence/presence';
import { presenceStudy } from '../../src/core/presence/presenceStudy';
import { errorShares, leastErrorThreshold } from '../../src/core/detection/threshold';
import { otherNoise } from '../support/otherNoise';
import { recordedText } from '../support/recorded';

describe('a threshold for a line', () => {
  const rows = recordedText('light-samples.csv').trim().split('\n').slice(1);
  const of = (surface: string) =>
    rows.filter((row) => row.startsWith(surface)).map((row) => Number(row.split(',')[1]));

  it('of recorded samples is that of the truth they were drawn from', () => {
    const found = lineThreshold({ values: of('line') }, { values: of('floor') });
    const { line, floor } = (
      JSON.parse(recordedText('truth.json')) as Record<string, Record<string, [number, number]>>
    )['light-samples.csv'] as { line: [number, number]; floor: [number, number] };
    const truth = { low: { mean: line[0], sd: line[1] }, high: { mean: floor[0], sd: floor[1] } };
    expect(found.lineIs).toBe('darker');
    expect(found.spreadsDiffer).toBe(true);
    expect(Math.abs(found.threshold - leastErrorThreshold(truth))).toBeLessThan(2);
    const errs = errorShares(truth, found.threshold);
    expect(found.errorRate.high95).toBeGreaterThan((errs.low + errs.high) / 2);
    expect(found.errorRate.high95).toBeLessThan(1e-4);
  });

  it('of a lighter line is passed upwards', () => {
    const found = lineThreshold({ values: [80, 82, 81] }, { values: [30, 33, 31] });
    expect(found.lineIs).toBe('lighter');
    expect(found.enter).toBeGreaterThan(found.threshold);
    expect(found.leave).toBeLessThan(found.threshold);
  });
});

describe('crossing a line', () => {
  const line = { lineWidthM: 0.02, spotM: 0.004, readings: 2, share: 1 };

  /** Different readings of the line that a program gets in a pass, its rounds of any length up to the longest. */
  function differentReadings(
    { uniform }: ReturnType<typeof otherNoise>,
    of: { loopPeriodS: number; sensorPeriodS: number },
    onLineS: number,
  ): number {
    const beginsS = 1 + uniform() * of.sensorPeriodS * 10;
    const seen = new Set<number>();
    for (let t = uniform() * of.loopPeriodS; t < beginsS + onLineS + 1;) {
      const taken = Math.floor(t / of.sensorPeriodS);
      const takenS = taken * of.sensorPeriodS;
      if (takenS >= beginsS && takenS <= beginsS + onLineS) seen.add(taken);
      t += of.loopPeriodS * (uniform() < 0.7 ? 1 : 0.3 + 0.7 * uniform());
    }
    return seen.size;
  }

  it.each([
    { loopPeriodS: 0.01, sensorPeriodS: 0.01 },
    { loopPeriodS: 0.003, sensorPeriodS: 0.02 },
    { loopPeriodS: 0.03, sensorPeriodS: 0.01 },
    { loopPeriodS: 0.025, sensorPeriodS: 0.01 },
  ])('every pass gives enough different readings, and a fifth faster some do not: %o', (of) => {
    const noise = otherNoise(11);
    for (const readings of [1, 2, 3]) {
      const { speedMPerS, countsM } = lineSpeed({ ...line, ...of, readings });
      const passes = (faster: number) =>
        Array.from({ length: 1000 }, () =>
          differentReadings(noise, of, countsM / (speedMPerS * faster)),
        );
      expect(Math.min(...passes(1))).toBeGreaterThanOrEqual(readings);
      expect(Math.min(...passes(1.2))).toBeLessThan(readings);
    }
  });

  it('a reading that is read again confirms nothing: a faster loop than the sensor does not help', () => {
    const slow = lineSpeed({ ...line, loopPeriodS: 0.02, sensorPeriodS: 0.02 });
    expect(lineSpeed({ ...line, loopPeriodS: 0.002, sensorPeriodS: 0.02 }).speedMPerS).toBe(
      slow.speedMPerS,
    );
    expect(slow.speedMPerS).toBeCloseTo(0.016 / (2 * 0.02), 12);
  });

  it('a spot as wide as the line never lies on it whole', () => {
    const wide = { ...line, spotM: 0.02, loopPeriodS: 0.01, sensorPeriodS: 0.01 };
    expect(lineSpeed(wide)).toMatchObject({ speedMPerS: 0, countsM: 0 });
  });

  it('a spot half on the line counts by a threshold in the middle: over the whole width', () => {
    expect(countingWidthM(0.02, 0.006, 0.5)).toBeCloseTo(0.02, 6);
    expect(shareOnLine(0.01, 0.02, 0.006)).toBeCloseTo(0.5, 6);
    expect(shareOnLine(0, 0.02, 0.006)).toBe(1);
    // A narrow line under a wide spot: of a circle, the middle strip.
    expect(shareOnLine(0, 0.001, 0.1)).toBeCloseTo((0.001 * 0.1) / (Math.PI * 0.05 ** 2), 4);
  });

  it('more has to lie on the line, slower it has to be crossed', () => {
    const share = fc.double({ min: 0.05, max: 1, noNaN: true });
    fc.assert(
      fc.property(share, share, (a, b) => {
        const width = (of: number) => countingWidthM(0.02, 0.008, of);
        expect(width(Math.max(a, b))).toBeLessThanOrEqual(width(Math.min(a, b)) + 1e-12);
      }),
    );
  });
});

describe('whether something is there', () => {
  it('by a reading that falls when it comes: lost echoes are misses', () => {
    const there = [...Array.from({ length: 18 }, (_, i) => 10 + (i % 3)), null, null];
    const found = presence(there, [80, 82, 79, null, 81]);
    expect(found.thereIs).toBe('lower');
    expect(found.threshold).toBeGreaterThan(12);
    expect(found.missRate.value).toBeCloseTo(0.1, 2);
    expect(found.missRate.low95).toBeLessThan(0.05);
    expect(found.enter ?? 0).toBeLessThan(found.leave ?? 0);
  });

  it('by an echo alone where nothing comes back from nothing', () => {
    const found = presence([12, 13, null, 11], [null, null, null, null, null]);
    expect(found.threshold).toBeNull();
    expect(found.missRate.value).toBeCloseTo(0.25, 12);
    expect(found.falseRate).toMatchObject({ value: 0, low95: 0 });
    expect(found.falseRate.high95).toBeGreaterThan(0.3);
  });

  it('from counted passes with Wilson’s interval, as published for 4 of 20', () => {
    const { missRate, falseRate } = presenceFromPasses({
      passes: 20,
      caught: 16,
      absentPasses: 0,
      falseAlarms: 0,
    });
    // Brown, Cai and DasGupta (2001) have the same formula: 0.0807 to 0.4160.
    expect(missRate.low95).toBeCloseTo(0.0807, 4);
    expect(missRate.high95).toBeCloseTo(0.416, 4);
    expect(falseRate).toEqual({ value: Number.NaN, low95: 0, high95: 1 });
  });

  it('says in sentences what to do: patience for lost echoes, another place where it reads alike', () => {
    const uncounted = { passes: null, caught: null, absentPasses: null, falseAlarms: null };
    const reads = (
      there: 'yes' | 'no',
      values: (number | null)[],
      batteryV: number | null = null,
    ) => values.map((reading) => ({ there, reading, batteryV }));
    const ten = (value: number) => Array.from({ length: 10 }, (_, i) => value + (i % 3));
    const next = (readings: Parameters<typeof presenceStudy>[0]) =>
      presenceStudy(readings, uncounted)?.sentences.next;
    expect(next([...reads('yes', ten(10)), ...reads('no', ten(60))])).toMatch(/^Apply it/);
    expect(next([...reads('yes', [...ten(10), null, null]), ...reads('no', ten(60))])).toMatch(
      /let one lost reading pass/,
    );
    expect(next([...reads('yes', ten(40)), ...reads('no', ten(41))])).toMatch(/too much alike/);
    expect(next(reads('yes', ten(10)))).toBeUndefined();
    // Nothing came back below 7.1 V, and everything above: the battery is to be changed before.
    const weak = [...reads('yes', [null, null], 6.9), ...reads('yes', ten(10), 7.1)];
    expect(next([...weak, ...reads('no', ten(60), 7.4)])).toMatch(/^Below 7\.1 V echoes are lost/);
    const counted = presenceStudy([], { passes: 20, caught: 16, absentPasses: 30, falseAlarms: 0 });
    expect(counted?.sentences.found).toMatch(/^Missed: one look in 5, at most 42 % of looks/);
  });

  it('without a reading of something there it says so', () => {
    expect(() => presence([null], [1])).toThrow(/something there/);
  });
});
