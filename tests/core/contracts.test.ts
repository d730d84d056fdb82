import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { catalog } from '../../src/core/procedures/catalog';
import { wrap } from '../../src/core/geometry/angle';
import { deg } from './support';

/** A procedure as `corvat calc` runs it, by way of JSON. */
function calc<T>(name: string, input: unknown): T {
  const procedure = catalog.find((one) => one.name === name);
  if (procedure === undefined) throw new Error(name);
  const read: unknown = JSON.parse(JSON.stringify(input));
  return JSON.parse(JSON.stringify(procedure.run(procedure.input.parse(read)))) as T;
}

interface Still {
  driftRadPerS: number;
  low95: number;
  high95: number;
  cleanS: number;
  touched: { fromS: number; toS: number }[];
  headingErrorAtEndRad: number;
  verdict: string;
}

/** A minute of a robot at rest, with a wander and a step. */
const stillSamples = fc
  .record({
    driftDegPerS: fc.double({ min: -0.5, max: 0.5, noNaN: true }),
    stepDeg: fc.constantFrom(0, 0.1, 1),
    seed: fc.integer({ min: 1, max: 500 }),
  })
  .map(({ driftDegPerS, stepDeg, seed }) => {
    let wander = 0;
    return Array.from({ length: 1200 }, (_, i) => {
      const chance = Math.sin(seed * 127.1 + i * 311.7) * 43758.5453;
      wander += 0.006 * (chance - Math.floor(chance) - 0.5);
      const heading = driftDegPerS * (i / 20) + wander;
      const read = stepDeg === 0 ? heading : stepDeg * Math.round(heading / stepDeg);
      return { tS: i / 20, headingRad: deg(read) };
    });
  });

const still = (samples: { tS: number; headingRad: number }[], toleranceRad = deg(2)) =>
  calc<Still>('still-check', { samples, runDurationS: 120, toleranceRad });

describe('still-check', () => {
  it('of a mirrored log is mirrored, and of a later one the same', () => {
    fc.assert(
      fc.property(stillSamples, (samples) => {
        const found = still(samples);
        expect(found.low95).toBeLessThanOrEqual(found.driftRadPerS);
        expect(found.high95).toBeGreaterThanOrEqual(found.driftRadPerS);
        expect(found.headingErrorAtEndRad).toBeCloseTo(found.driftRadPerS * 120, 12);
        const mirrored = still(
          samples.map(({ tS, headingRad }) => ({ tS: tS + 500, headingRad: 3 - headingRad })),
        );
        expect(mirrored.driftRadPerS).toBeCloseTo(-found.driftRadPerS, 9);
        expect(mirrored.low95).toBeCloseTo(-found.high95, 9);
        expect(mirrored.verdict).toBe(found.verdict);
        expect(mirrored.cleanS).toBeCloseTo(found.cleanS, 6);
      }),
      { numRuns: 25, seed: 1 },
    );
  });

  it('of a reading that never changes proves little, whatever it reads', () => {
    for (const reading of [0, deg(12), deg(12.3), 3, -1.234567]) {
      const samples = Array.from({ length: 1200 }, (_, i) => ({ tS: i / 20, headingRad: reading }));
      const { driftRadPerS, high95, verdict } = still(samples, deg(0.5));
      expect(driftRadPerS).toBeCloseTo(0, 12);
      // A tenth of a degree in a minute at least may hide behind it.
      expect(high95).toBeGreaterThan(deg(0.0015));
      expect(verdict).not.toBe('steady');
    }
  });

  it('with a larger tolerance never asks for more', () => {
    const demands = ['steady', 'correctable', 'measure-longer', 're-zero'];
    fc.assert(
      fc.property(stillSamples, (samples) => {
        const verdicts = [0.5, 1, 2, 5, 20].map((tolerance) =>
          demands.indexOf(still(samples, deg(tolerance)).verdict),
        );
        verdicts.forEach((verdict, i) => {
          if (i > 0) expect(verdict).toBeLessThanOrEqual(verdicts[i - 1] ?? 3);
        });
      }),
      { numRuns: 12, seed: 2 },
    );
  });
});

interface Turns {
  groups: { direction: string; constantRad: number; scaleError: number; n: number }[];
  commands: {
    wantedRad: number;
    direction: string;
    rateRadPerS: number;
    commandRad: number;
    low95Rad: number | null;
    high95Rad: number | null;
  }[];
}

describe('turn-model', () => {
  const trials = fc.array(
    fc.record({
      targetRad: fc.constantFrom(45, 90, 180, -45, -90, -180).map(deg),
      further: fc.double({ min: -4, max: 8, noNaN: true }).map(deg),
      rateRadPerS: fc.constantFrom(90, 180).map(deg),
    }),
    { minLength: 6, maxLength: 24 },
  );
  const wantedRad = [30, 90, -90, 270].map(deg);
  const modelOf = (list: { targetRad: number; further: number; rateRadPerS: number }[], sign = 1) =>
    calc<Turns>('turn-model', {
      trials: list.map(({ targetRad, further, rateRadPerS }) => ({
        targetRad: sign * targetRad,
        actualRad: sign * (targetRad + Math.sign(targetRad) * further),
        rateRadPerS,
      })),
      wantedRad: wantedRad.map((angle) => sign * angle),
    });

  it('commands what its own model makes the wanted angle, each within its interval', () => {
    fc.assert(
      fc.property(trials, (list) => {
        const { groups, commands } = modelOf(list);
        const rates = new Set(list.map(({ rateRadPerS }) => rateRadPerS));
        expect(commands).toHaveLength(wantedRad.length * rates.size);
        expect(groups.reduce((sum, { n }) => sum + n, 0)).toBe(list.length);
        for (const {
          wantedRad: wanted,
          rateRadPerS,
          commandRad,
          low95Rad,
          high95Rad,
        } of commands) {
          const isTried = list.some(
            (one) =>
              one.rateRadPerS === rateRadPerS && Math.sign(one.targetRad) === Math.sign(wanted),
          );
          if (!isTried) {
            expect(commandRad).toBeNull();
            continue;
          }
          expect(Math.sign(commandRad)).toBe(Math.sign(wanted));
          const makes = groups.map(
            ({ constantRad, scaleError }) => constantRad + (1 + scaleError) * Math.abs(commandRad),
          );
          const nearest = Math.min(...makes.map((made) => Math.abs(made - Math.abs(wanted))));
          expect(nearest).toBeLessThan(1e-9);
          if (low95Rad === null || high95Rad === null) continue;
          expect(low95Rad).toBeLessThanOrEqual(wanted);
          expect(high95Rad).toBeGreaterThanOrEqual(wanted);
        }
      }),
      { numRuns: 60, seed: 3 },
    );
  });

  it('does not know left from right: mirrored trials have mirrored commands', () => {
    fc.assert(
      fc.property(trials, (list) => {
        const [plain, mirrored] = [modelOf(list), modelOf(list, -1)];
        mirrored.commands.forEach((command, i) => {
          expect(command.commandRad).toBeCloseTo(-(plain.commands[i]?.commandRad ?? 0), 9);
          expect(command.direction).not.toBe(plain.commands[i]?.direction);
        });
      }),
      { numRuns: 40, seed: 4 },
    );
  });
});

interface Square {
  trackRatio: number;
  diameterRatio: number;
  leftWheelFactor: number;
  rightWheelFactor: number;
}

describe('square-path', () => {
  const lap = fc.record({
    xM: fc.double({ min: -0.1, max: 0.1, noNaN: true }),
    yM: fc.double({ min: -0.1, max: 0.1, noNaN: true }),
    headingRad: fc.double({ min: -8, max: 8, noNaN: true }).map(deg),
  });
  const list = fc.array(lap, { minLength: 2, maxLength: 4 });

  it('seen in a mirror has its wheels exchanged and the same track', () => {
    const mirror = ({ xM, yM, headingRad }: { xM: number; yM: number; headingRad: number }) => ({
      xM,
      yM: -yM,
      headingRad: -headingRad,
    });
    fc.assert(
      fc.property(list, list, (cw, ccw) => {
        const size = { sideM: 1.2, trackM: 0.13, wheelDiameterM: 0.056, driven: 'encoders' };
        const plain = calc<Square>('square-path', { ...size, cw, ccw });
        const mirrored = calc<Square>('square-path', {
          ...size,
          cw: ccw.map(mirror),
          ccw: cw.map(mirror),
        });
        expect(mirrored.trackRatio).toBeCloseTo(plain.trackRatio, 6);
        expect(mirrored.diameterRatio).toBeCloseTo(1 / plain.diameterRatio, 6);
        expect(mirrored.leftWheelFactor).toBeCloseTo(plain.rightWheelFactor, 6);
        // Factors leave the mean wheel as it is.
        expect(plain.rightWheelFactor / plain.leftWheelFactor).toBeCloseTo(plain.diameterRatio, 9);
      }),
      { numRuns: 12, seed: 5 },
    );
  });
});

describe('drift-anchors', () => {
  it('leads the corrected heading through every anchor, whole turns aside', () => {
    const anchor = fc.record({
      tS: fc.integer({ min: 0, max: 60 }),
      headingRad: fc.double({ min: -200, max: 200, noNaN: true }).map(deg),
    });
    const anchors = fc.uniqueArray(anchor, {
      minLength: 1,
      maxLength: 6,
      selector: ({ tS }) => tS,
    });
    fc.assert(
      fc.property(stillSamples, anchors, (samples, list) => {
        const { corrected, pieces } = calc<{
          corrected: { tS: number; headingRad: number }[];
          pieces: { fromS: number; toS: number }[];
        }>('drift-anchors', { samples, anchors: list });
        expect(corrected).toHaveLength(samples.length);
        expect(pieces).toHaveLength(Math.max(1, list.length - 1));
        for (const { tS, headingRad } of list) {
          const at = corrected.find((sample) => sample.tS >= tS);
          if (at?.tS !== tS) continue;
          expect(wrap(at.headingRad - headingRad)).toBeCloseTo(0, 9);
        }
      }),
      { numRuns: 20, seed: 6 },
    );
  });
});

describe('a slip of units', () => {
  const size = {
    wheelDiameterM: 0.056,
    trackM: 0.13,
    gearRatio: 1,
    encoderCountsPerMotorDegree: 1,
  };
  const lying = Array.from({ length: 600 }, (_, i) => ({
    tS: i / 20,
    headingRad: 0.001 * (i % 3),
  }));
  const turn = { targetRad: deg(90), actualRad: deg(93), rateRadPerS: deg(90) };
  const lap = { xM: 0.01, yM: 0, headingRad: 0 };
  const square = { sideM: 1, trackM: 0.13, wheelDiameterM: 0.056, driven: 'gyro' };
  const run = { runDurationS: 150, toleranceRad: deg(2) };

  it.each([
    ['convert', { ...size, wheelDiameterM: 56, distanceM: 1 }, /millimetres/],
    ['convert', { ...size, distanceM: 1e308 }, /millimetres/],
    [
      'still-check',
      { ...run, samples: lying.map(({ tS, ...s }) => ({ tS: 1000 * tS, ...s })) },
      /milliseconds/,
    ],
    ['still-check', { ...run, samples: lying, toleranceRad: 2 }, /degrees/],
    [
      'still-check',
      { ...run, samples: lying.map((s, i) => ({ ...s, headingRad: 12 + (i % 3) })) },
      /degrees/,
    ],
    ['turn-model', { trials: [{ ...turn, targetRad: 90 }], wantedRad: [1] }, /degrees/],
    ['turn-model', { trials: [{ ...turn, rateRadPerS: 90 }], wantedRad: [1] }, /degrees/],
    ['turn-model', { trials: [{ ...turn, durationS: 1200 }], wantedRad: [1] }, /milliseconds/],
    ['turn-model', { trials: [turn], wantedRad: [45] }, /degrees/],
    ['square-path', { ...square, cw: [{ ...lap, xM: 12 }], ccw: [lap] }, /millimetres/],
    ['square-path', { ...square, cw: [{ ...lap, headingRad: 5 }], ccw: [lap] }, /degrees/],
    ['drift-anchors', { samples: lying, anchors: [{ tS: 1, headingRad: 90 }] }, /degrees/],
    [
      'drift-anchors',
      {
        samples: lying,
        anchors: [
          { tS: 1, headingRad: 0 },
          { tS: 1.001, headingRad: 0.1 },
        ],
      },
      /0\.2 s apart/,
    ],
    ['consistency', { target: lap, runs: [{ xM: 120, yM: 40 }] }, /millimetres/],
  ])('is asked about by %s', (name, input, sentence) => {
    const answer = catalog.find((one) => one.name === name)?.input.safeParse(input);
    expect(answer?.error?.issues[0]?.message).toMatch(sentence);
  });
});
