import { describe, expect, it } from 'vitest';
import { earlierOf, type EarlierCheck } from '../../src/core/gyro/still/earlierChecks';
import { quantumOf } from '../../src/core/gyro/quantum';
import { stillCheck, type StillCheck } from '../../src/core/gyro/still/stillCheck';
import { stillSentences } from '../../src/core/gyro/still/stillSentence';
import { STILL_SETTINGS } from '../../src/core/gyro/still/stillDefaults';
import { generator, normal } from '../support/eulerRobot';

const DEG = Math.PI / 180;
const RUN_S = 150;
const TOLERANCE = 2 * DEG;

interface Sensor {
  stepDeg: number;
  lengthS: number;
  walkDeg: number;
  driftDeg: number;
  /** What a warm-up turns the heading by in all, with a time constant of 200 s. */
  warmDeg?: number;
  /** When somebody touches it, and by how much it stands askew then. */
  touch?: [number, number];
}

/** A heading sensor at rest, read twenty times a second; it shares nothing with the one that Corvat ships. */
function lying(sensor: Sensor, seed: number) {
  const { stepDeg, lengthS, walkDeg, driftDeg, warmDeg = 0, touch = [Infinity, 0] } = sensor;
  const random = generator(seed);
  const tS = Float64Array.from({ length: lengthS * 20 + 1 }, (_, i) => i / 20);
  let heading = stepDeg * random();
  const headingRad = tS.map((t, i) => {
    if (i > 0) heading += walkDeg * Math.sqrt(0.05) * normal(random) + driftDeg * 0.05;
    const warm = warmDeg * (1 - Math.exp(-t / 200));
    const shown = heading + warm + (t >= touch[0] ? touch[1] : 0);
    return Math.round(shown / stepDeg) * stepDeg * DEG;
  });
  return { kind: 'heading' as const, tS, headingRad };
}

const checks = (sensor: Sensor, count: number, earlier?: EarlierCheck[]): StillCheck[] =>
  Array.from({ length: count }, (_, i) =>
    stillCheck(lying(sensor, 77 + i * 131), RUN_S, TOLERANCE, STILL_SETTINGS, earlier),
  );
const shareOf = (all: StillCheck[], is: (check: StillCheck) => boolean) =>
  all.filter(is).length / all.length;

describe('coarse heading sensors', () => {
  it('are not asked to lie still for longer when a minute or ten have told all', () => {
    const wholeDegrees = { stepDeg: 1, walkDeg: 0.005, driftDeg: 0.09 };
    for (const lengthS of [120, 600]) {
      const told = shareOf(
        checks({ ...wholeDegrees, lengthS }, 10),
        ({ verdict }) => verdict === 'correctable',
      );
      expect(told, `${lengthS} s`).toBeGreaterThanOrEqual(0.8);
    }
    const healthy = { stepDeg: 0.1, walkDeg: 0.005, driftDeg: 0.002, lengthS: 60 };
    expect(
      shareOf(checks(healthy, 24), ({ verdict }) => verdict === 'steady'),
    ).toBeGreaterThanOrEqual(0.75);
  });

  it('hold the true drift all the same, and do not take a ramp’s rounding for wander', () => {
    for (const driftDeg of [0.01, 0.05, 0.09]) {
      const all = checks({ stepDeg: 1, walkDeg: 0.005, driftDeg, lengthS: 200 }, 30);
      const held = shareOf(
        all,
        ({ low95, high95 }) => low95 <= driftDeg * DEG && high95 >= driftDeg * DEG,
      );
      expect(held, `${driftDeg} °/s`).toBeGreaterThanOrEqual(0.9);
      expect(shareOf(all, ({ wanderRadPerS }) => wanderRadPerS > 0)).toBeLessThanOrEqual(0.07);
    }
  });

  it('are known to have been touched when they stand three steps askew from a moment on', () => {
    for (const stepDeg of [0.1, 1]) {
      for (const driftDeg of [0, 0.02]) {
        const touched = { stepDeg, walkDeg: 0.005, driftDeg, lengthS: 60 };
        const found = shareOf(
          checks({ ...touched, touch: [24, 3 * stepDeg] }, 20),
          (check) => check.touched.length > 0,
        );
        expect(found, `${stepDeg}° ${driftDeg} °/s`).toBeGreaterThanOrEqual(0.8);
        const untouched = shareOf(checks(touched, 20), (check) => check.touched.length > 0);
        expect(untouched).toBeLessThanOrEqual(0.05);
      }
    }
    // Nothing but one jump of 3°: no sensor has such a step.
    const jump = Array.from({ length: 1200 }, (_, i) => (i < 600 ? 0 : 3 * DEG));
    expect(quantumOf(jump) / DEG).toBeCloseTo(1, 9);
    expect(quantumOf(jump, 0.5 * DEG) / DEG).toBeCloseTo(0.5, 9);
    const single = Array.from({ length: 1200 }, (_, i) => (i < 600 ? 4 : 4.5) * DEG);
    expect(quantumOf(single) / DEG).toBeCloseTo(0.5, 9);
  });
});

describe('a sensor that warms up slowly', () => {
  it('is never subtracted after a minute of it, and is looked at again', () => {
    for (const warmDeg of [5, 10]) {
      const all = checks(
        { stepDeg: 0.1, walkDeg: 0.005, driftDeg: 0.01, warmDeg, lengthS: 60 },
        24,
      );
      expect(shareOf(all, ({ verdict }) => verdict === 'correctable')).toBeLessThanOrEqual(0.1);
    }
    const hinted = checks(
      { stepDeg: 0.1, walkDeg: 0.005, driftDeg: 0.01, warmDeg: 5, lengthS: 60 },
      24,
    ).find(({ warmUp, verdict }) => warmUp?.hinted === true && verdict === 'measure-longer');
    if (hinted === undefined) throw new Error('none of the checks hints at a warm-up');
    expect(stillSentences(hinted, RUN_S, TOLERANCE).next).toMatch(
      /warms up\. Check again, over 2:/,
    );
  });
});

describe('earlier checks of a sensor', () => {
  const sensor = { stepDeg: 0.1, walkDeg: 0.005, driftDeg: 0.002 };
  const earlier = checks({ ...sensor, driftDeg: 0.02, lengthS: 120 }, 3);

  it('make twenty seconds enough, and still hold what the next run does', () => {
    const short = { ...sensor, lengthS: 20 };
    const isOpen = ({ verdict }: StillCheck) => verdict === 'measure-longer';
    expect(shareOf(checks(short, 24), isOpen)).toBeGreaterThan(0.6);
    const after = checks(short, 24, earlier);
    expect(shareOf(after, isOpen)).toBeLessThan(0.35);
    const held = shareOf(
      after,
      ({ nextRunLow95, nextRunHigh95 }) =>
        nextRunLow95 <= 0.002 * DEG && nextRunHigh95 >= 0.002 * DEG,
    );
    expect(held).toBeGreaterThanOrEqual(0.9);
    expect(after[0]?.earlierChecks).toBe(3);
  });

  it('tell the step of a reading that never changed', () => {
    const still = {
      kind: 'heading' as const,
      tS: Float64Array.from({ length: 600 }, (_, i) => i / 10),
    };
    const zeros = { ...still, headingRad: new Float64Array(600) };
    expect(stillCheck(zeros, RUN_S, TOLERANCE).verdict).toBe('measure-longer');
    const known = stillCheck(zeros, RUN_S, TOLERANCE, STILL_SETTINGS, earlier);
    expect(known.verdict).toBe('steady');
    expect(known.quantum / DEG).toBeCloseTo(0.1, 9);
  });

  it('are those of the same unit, made before, in use, the latest five', () => {
    const result = earlier[0] as EarlierCheck;
    const made = (id: string, day: number, more = {}) => ({
      id,
      unitId: 'h1',
      takenAt: `2026-11-0${day}T10:00:00.000Z`,
      setAsideReason: null,
      result: { ...result, quantum: day },
      ...more,
    });
    const all = [1, 2, 3, 4, 5, 6].map((day) => made(`k${day}`, day));
    const mixed = [
      ...all,
      made('other', 7, { unitId: 'h2' }),
      made('aside', 7, { setAsideReason: 'leaned on' }),
      made('later', 9),
    ];
    const now = { id: 'now', unitId: 'h1', takenAt: '2026-11-08T10:00:00.000Z' };
    expect(earlierOf(mixed, now).map(({ quantum }) => quantum)).toEqual([6, 5, 4, 3, 2]);
    expect(earlierOf(mixed, { ...now, unitId: null })).toEqual([]);
  });
});
