import { describe, expect, it } from 'vitest';
import { missionSchema } from '../../src/core/table/table';
import { approachPlan, type ApproachPlan } from '../../src/core/ranging/approach';
import { filteredApproaches } from '../../src/core/ranging/approachFilters';
import { rangeCalibration, type RangeReading } from '../../src/core/ranging/rangeCalibration';
import { readingStepM } from '../../src/core/ranging/readingStep';
import { fittedRobot } from '../../src/core/calibration/fittedRobot';
import { readsOf } from '../../src/core/ranging/stopStudy';
import { devicesOf } from '../../src/core/devices/ofRobot';
import { pipit } from '../../src/server/demo/scenario';
import { missionTolerance } from '../../src/core/ranging/missionTolerance';
import { rangeStudy, swapOf } from '../../src/core/ranging/rangeStudy';
import { randomStream } from '../../src/core/stats/random';
import { stepSchema } from '../../src/core/steps/step';

const PLAN: ApproachPlan = {
  wantedM: 0.05,
  speedMPerS: 0.2,
  samplePeriodS: 0.02,
  latencyS: 0.06,
  brakingMPerS2: 2,
  confirmations: 1,
  offsetM: 0.006,
  scaleFactor: 1.01,
  noiseM: 0.004,
  startGapM: 0.8,
};

describe('filters of the distance readings', () => {
  it('agree with the computed first passage where there is none', () => {
    const exact = approachPlan(PLAN);
    const [single] = filteredApproaches(PLAN);
    const tolerance = (3 * (exact?.gapSdM ?? 0)) / Math.sqrt(400);
    expect(
      Math.abs((single?.thresholdReadingM ?? 0) - (exact?.thresholdReadingM ?? 1)),
    ).toBeLessThan(1.01 * tolerance);
    expect(single?.gapSdM).toBeGreaterThan(0.88 * (exact?.gapSdM ?? 0));
    expect(single?.gapSdM).toBeLessThan(1.12 * (exact?.gapSdM ?? 0));
  });

  it('are steadier and later the more readings they take', () => {
    const [single, mean3, , mean5, median5] = filteredApproaches({ ...PLAN, speedMPerS: 0.1 });
    expect(mean3?.gapSdM).toBeLessThan(single?.gapSdM ?? 0);
    expect(mean5?.gapSdM).toBeLessThan(mean3?.gapSdM ?? 0);
    // The median of normal noise scatters more than its mean.
    expect(median5?.gapSdM).toBeGreaterThan(mean5?.gapSdM ?? 1);
    expect(mean5?.delayS).toBeCloseTo(0.04, 9);
  });

  it('without noise stop at the same place, told the earlier by their delay', () => {
    const still = { ...PLAN, noiseM: 0, scaleFactor: 1, offsetM: 0 };
    const [single, mean3] = filteredApproaches(still);
    expect((mean3?.thresholdReadingM ?? 0) - (single?.thresholdReadingM ?? 0)).toBeCloseTo(
      0.2 * 0.02,
      4,
    );
  });
});

/** A bench of units with their own offsets. */
function bench(offsetsM: Record<string, number>): RangeReading[] {
  const random = randomStream(3, 0, 'bench');
  return Object.entries(offsetsM).flatMap(([unit, offsetM]) =>
    [0.1, 0.3, 0.6, 1].flatMap((trueM) =>
      Array.from({ length: 6 }, () => ({
        unit,
        trueM,
        readingM: trueM + offsetM + 0.001 * random.normal(),
      })),
    ),
  );
}

describe('which units to swap', () => {
  it('is the worst that is plugged in for the best that is not', () => {
    const readings = bench({ D1: 0.02, D2: 0.03, S1: 0.004, S2: 0.001 });
    const study = rangeStudy(readings, 'D1', 0.01, ['D1', 'D2']);
    expect(study?.sentences?.next).toMatch(/^Swap D2 \(up to \d+ mm off\) for S2/);
    const units = study?.found.units ?? [];
    expect(swapOf(units, ['S1', 'S2'])).toBeNull();
    expect(swapOf(units, ['D1', 'D2', 'S1', 'S2'])).toBeNull();
    expect(rangeStudy(readings, 'D1', 0.05, ['D1', 'D2'])?.sentences?.next).toMatch(/^Apply it/);
  });
});

describe('a tolerance from the missions', () => {
  const mission = (id: string, alongM: number) =>
    missionSchema.parse({
      id,
      name: id,
      pose: { xM: 1, yM: 0.5, headingRad: 0 },
      window: { alongM },
    });
  const table = {
    missions: [mission('crate', 0.03), mission('lever', 0.012), mission('mast', 0.004)],
  };
  const steps = (...all: object[]) =>
    all.map((one, i) => stepSchema.parse({ id: `s${i}`, ...one }));
  const drive = { kind: 'straight', distanceM: 0.5 };
  const approach = { kind: 'approach', thresholdM: 0.2 };
  const work = (missionId: string) => ({ kind: 'mark', missionId });

  it('is half of the narrowest window that is worked after a distance was used', () => {
    const route = {
      steps: steps(drive, work('mast'), approach, work('crate'), drive, work('lever')),
    };
    expect(missionTolerance([{ name: 'Out', route, table }])).toEqual({
      toleranceM: 0.006,
      mission: 'lever',
      route: 'Out',
    });
  });

  it('is none where no route goes by a distance', () => {
    const route = { steps: steps(drive, work('mast')) };
    expect(missionTolerance([{ name: 'Out', route, table }])).toBeNull();
    expect(missionTolerance([])).toBeNull();
  });
});

describe('a sensor that reads in steps', () => {
  const TAPE_M = [0.05, 0.1, 0.2, 0.3, 0.5, 0.8, 1.2, 1.6];
  const bench = (stepM: number, noiseM: number, offsetM: number, scale: number, seed: number) => {
    const random = randomStream(seed, 0, 'steps');
    return TAPE_M.flatMap((trueM) =>
      Array.from({ length: 6 }, () => ({
        unit: 'D1',
        trueM,
        readingM: Math.round((offsetM + scale * trueM + noiseM * random.normal()) / stepM) * stepM,
      })),
    );
  };

  it('is seen to, in parts of a centimetre and of an inch, and one that has none is not', () => {
    expect(readingStepM([0.41, 0.43, 0.5])).toBe(0.01);
    expect(readingStepM([0.415, 0.43])).toBe(0.005);
    expect(readingStepM([0.4039, 0.4039])).toBe(0.0001);
    expect(readingStepM([16, 15.9, 16.3].map((inches) => inches * 0.0254))).toBe(0.00254);
    expect(readingStepM([0.41234567, 0.43])).toBe(0);
  });

  it('is known no better than its steps allow, however often it is read', () => {
    for (let seed = 0; seed < 40; seed += 1) {
      const at = seed / 40;
      const [offsetM, scale] = [0.02 * (at - 0.5), 1 + 0.02 * (((7 * seed) % 40) / 40 - 0.5)];
      const [unit] = rangeCalibration(bench(0.01, 0.001, offsetM, scale, seed), 0.02)?.units ?? [];
      if (unit === undefined) throw new Error('nothing found');
      expect(unit.offsetLow95M).toBeLessThanOrEqual(offsetM);
      expect(unit.offsetHigh95M).toBeGreaterThanOrEqual(offsetM);
      expect(unit.scaleLow95).toBeLessThanOrEqual(scale);
      expect(unit.scaleHigh95).toBeGreaterThanOrEqual(scale);
    }
    // Two equal readings are half a step of certainty, not all of it.
    const one = [0.4, 0.4].map((readingM) => ({ unit: 'D1', trueM: 0.404, readingM }));
    expect(rangeCalibration(one, 0.02)?.units[0]?.offsetHigh95M).toBeCloseTo(0.001, 9);
  });

  it('is said to, and the simulator steps as it does', () => {
    const study = rangeStudy(bench(0.01, 0.0005, 0, 1, 1), 'D1', 0.02);
    expect(study?.sentences?.found).toContain(
      'it reads in steps of 10 mm, and tells nothing finer',
    );
    const fine = rangeStudy(bench(0.001, 0.004, 0, 1, 1), 'D1', 0.02);
    expect(fine?.sentences?.found).toMatch(/single readings scatter by [34]\.\d mm/);
    if (!study?.value) throw new Error('no value');
    const [unit] = devicesOf(fittedRobot(pipit, [study.value]).robot, 'distance sensor');
    expect(unit?.behaviour).toMatchObject({ quantumM: 0.01 });
    expect(readsOf(pipit, study.value).noiseM).toBeCloseTo(0.01 / Math.sqrt(12), 9);
  });
});
