import { describe, expect, it } from 'vitest';
import { catalog } from '../../src/core/procedures/catalog';

/** A procedure as `corvat calc` runs it, by way of JSON. */
function calc(name: string, input: unknown): Record<string, unknown> {
  const procedure = catalog.find((one) => one.name === name);
  if (procedure === undefined) throw new Error(name);
  return JSON.parse(
    JSON.stringify(procedure.run(procedure.input.parse(JSON.parse(JSON.stringify(input))))),
  ) as Record<string, unknown>;
}

const approach = {
  wantedM: 0.05,
  speedMPerS: 0.3,
  samplePeriodS: 0.02,
  latencyS: 0.05,
  brakingMPerS2: 1.5,
  confirmations: 2,
  offsetM: 0,
  scaleFactor: 1,
  noiseM: 0.003,
  startGapM: 0.6,
};
const still = (n: number) => Array.from({ length: n }, (_, i) => i / 50);

it('volts and mounts are computed from readings by the command line, too', () => {
  const readings = [0.1, 0.2, 0.4, 0.8].flatMap((trueM) =>
    [0, 0.01].map((odd) => ({ trueM, readingV: 0.1 + 0.24 / (trueM + 0.01) + odd })),
  );
  const { volts } = calc('volt-curve', { readings, at: [0.3] }) as { volts: { volts: number }[] };
  expect(volts[0]?.volts).toBeCloseTo(0.105 + 0.24 / 0.31, 2);
  const turned = [-0.3, -0.15, 0, 0.15, 0.3, 0.4].map((turnedRad) => ({
    turnedRad,
    readingM: (0.5 - 0.1 * Math.cos(turnedRad)) / Math.cos(turnedRad + 0.1),
  }));
  expect(calc('mount-angle', { readings: turned, aheadM: 0.1 }).facingRad).toBeCloseTo(0.1, 4);
});

describe('what has nothing to compute from gets a sentence, and no figure', () => {
  it.each<[string, unknown, RegExp]>([
    ['straight-model', { trials: [] }, /Two straight drives/],
    ['speed-table', { trials: [], at: [{ command: 0.5, batteryV: 8 }] }, /Three timed drives/],
    [
      'range-calibration',
      { readings: [{ unit: 'D1', trueM: 0.1, readingM: null }], toleranceM: 0.01 },
      /Two readings of one unit/,
    ],
    ['approach', { ...approach, startGapM: 0.06 }, /cannot stop in time/],
    ['volt-curve', { readings: [{ trueM: 0.1, readingV: 2 }] }, /two distances/],
    ['mount-angle', { readings: [{ turnedRad: 0, readingM: 0.3 }], aheadM: 0.1 }, /Six echoes/],
    ['stop-model', { trials: [], wantedM: 0.05, at: [0.3] }, /Two stops/],
    ['gauge', { readings: [{ part: 1, person: 'A', valueM: 0.1 }] }, /Two parts, two persons/],
    [
      'squaring',
      { trials: [{ power: 0.3, timeS: 1, beforeRad: 0.1, afterRad: 0.01 }] },
      /Three trials at least/,
    ],
    ['loop-timing', { tS: [1, 1, 1] }, /Two different time stamps/],
    [
      'gain-trace',
      { samples: still(200).map((tS) => ({ tS, errorRad: 0, correctionRadPerS: 0 })) },
      /shows no disturbance/,
    ],
    [
      'wall-trace',
      {
        samples: still(20).map((tS) => ({ tS, readingM: 0.13, correctionRadPerS: -0.1 })),
        targetM: 0.1,
        wallSide: 'right',
      },
      /log five seconds/,
    ],
  ])('%s', (name, input, sentence) => {
    const found = calc(name, input);
    expect(Object.keys(found)).toEqual(['sentence']);
    expect(found.sentence).toMatch(sentence);
  });
});

describe('contracts of walls and loops', () => {
  it('squaring: the time constant of each power with its interval, and what stays', () => {
    const trials = [0.2, 0.4, 0.8, 1.6].map((timeS, i) => ({
      power: 0.4,
      timeS,
      beforeRad: 0.1,
      afterRad: 0.1 * Math.exp(-timeS / 0.35) + (i % 2 === 0 ? 1e-4 : -1e-4),
    }));
    const { powers, residualSdRad } = calc('squaring', { trials }) as {
      powers: { power: number; timeConstantS: number; low95: number; high95: number }[];
      residualSdRad: number;
    };
    expect(powers).toHaveLength(1);
    expect(powers[0]?.timeConstantS).toBeCloseTo(0.35, 2);
    expect(powers[0]?.low95).toBeLessThan(0.35);
    expect(powers[0]?.high95).toBeGreaterThan(0.35);
    expect(residualSdRad).toBeLessThan(3e-4);
  });

  it('squaring: degrees and percent are told from radians and shares', () => {
    const trial = { power: 0.4, timeS: 1, beforeRad: 0.1, afterRad: 0.01 };
    expect(() => calc('squaring', { trials: [{ ...trial, beforeRad: 5.7 }] })).toThrow(
      /are these degrees/,
    );
    expect(() => calc('squaring', { trials: [{ ...trial, power: 40 }] })).toThrow(
      /are these percent/,
    );
  });

  it('loop-timing: whatever the order of the time stamps', () => {
    const found = calc('loop-timing', { tS: [0.06, 0, 0.02, 0.03] });
    expect(found).toMatchObject({ rounds: 3, worstAtS: 0.03 });
    expect(found.meanS).toBeCloseTo(0.02, 12);
    expect(found.worstS).toBeCloseTo(0.03, 12);
  });
});

describe('contracts', () => {
  it('name what they find as agreed', () => {
    const trials = [0.3, 0.6, 1.2].map((commandedM) => ({
      commandedM,
      actualM: 0.98 * commandedM + 0.004,
      sidewaysM: 0.01 * commandedM,
      speedMPerS: 0.3,
    }));
    const straight = calc('straight-model', { trials });
    expect(straight.scaleFactor).toBeCloseTo(0.98, 9);
    expect(straight.coastM).toBeCloseTo(0.004, 9);
    // No scatter is seen, and a tape that is read to millimetres could hide some of it.
    expect(straight.residualSdM).toBeGreaterThan(0);
    expect(straight.residualSdM).toBeLessThan(0.001);
    const alike = trials.map((trial) => ({ ...trial, commandedM: 1, actualM: 0.98 }));
    expect(calc('straight-model', { trials: alike })).toMatchObject({
      coastM: 0,
      notes: [expect.stringContaining('coastM is taken as 0'), expect.stringContaining('trim')],
    });
    const speeds = [0.2, 0.5, 0.8].map((command) => ({
      command,
      batteryV: 8,
      distanceM: (command - 0.05) * 0.8,
      timeS: 1,
    }));
    const table = calc('speed-table', { trials: speeds, at: [{ command: 0.45, batteryV: 4 }] });
    expect(table.deadBand).toBeCloseTo(0.05, 9);
    expect((table.speeds as { speedMPerS: number }[])[0]?.speedMPerS).toBeCloseTo(0.16, 9);
    const stops = [0.1, 0.2, 0.4].map((speedMPerS) => ({
      speedMPerS,
      thresholdM: 0.2,
      stopM: 0.2 - 0.08 * speedMPerS - speedMPerS ** 2 / 4,
    }));
    const stop = calc('stop-model', { trials: stops, wantedM: 0.05, at: [0.3] });
    expect(stop.lagS).toBeCloseTo(0.08, 9);
    expect(stop.brakingMPerS2).toBeCloseTo(2, 6);
    expect((stop.thresholds as { thresholdM: number }[])[0]?.thresholdM).toBeCloseTo(0.0965, 9);
    const answer = calc('approach', approach);
    expect(answer.expectedGapM).toBeCloseTo(0.05, 6);
    expect(answer.timeOutS).toBeGreaterThan(0.55 / 0.3);
    const one = [0, 1, 2].flatMap((i) =>
      ['D1', 'D2', 'D3'].map((unit, k) => ({
        unit,
        trueM: 0.3,
        readingM: 0.3 + 0.01 * k + 0.001 * i,
      })),
    );
    const units = calc('range-calibration', { readings: one, toleranceM: 0.008 }).units;
    expect(units).toMatchObject([{ scaleFactor: null }, { withinTolerance: true }, {}]);
  });

  it('ask whether another unit was meant where a number is too large', () => {
    const bad = (name: string, input: unknown) => {
      const procedure = catalog.find((each) => each.name === name);
      return procedure?.input.safeParse(input).error?.issues[0]?.message ?? '';
    };
    expect(bad('approach', { ...approach, wantedM: 50 })).toMatch(/are these millimetres/);
    expect(bad('approach', { ...approach, samplePeriodS: 20 })).toMatch(/are these milliseconds/);
    expect(
      bad('speed-table', { trials: [{ command: 40, batteryV: 8, distanceM: 1, timeS: 1 }] }),
    ).toMatch(/percent/);
  });
});
