import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { driveFromSquare } from '../../src/core/calibration/kinds/drive/fromStudy';
import { randomStream } from '../../src/core/stats/random';
import { encoderSquare, gyroSquare } from '../../src/core/square/squareFit';
import {
  closureM,
  guessDriveErrors,
  squareReturn,
  wheelFactors,
} from '../../src/core/square/squarePath';
import { encoderSquareSentences, gyroSquareSentences } from '../../src/core/square/squareStudy';
import { runBenchProgram } from '../../src/core/standIn/program';
import type { BenchStep } from '../../src/core/standIn/steps/benchStep';
import { recordedTable } from './logs';
import { deg, idealRobot } from './support';

const SIDE = 1.2;
const TRACK = 0.142;

const lapsOf = (direction: string) =>
  recordedTable('square-path')
    .filter((row) => row.direction === direction)
    .map((row) => ({
      xM: Number(row.return_x_mm) / 1000,
      yM: Number(row.return_y_mm) / 1000,
      headingRad: deg(Number(row.return_heading_deg)),
    }));

const errors = fc.record({
  trackRatio: fc.double({ min: 0.96, max: 1.04, noNaN: true }),
  diameterRatio: fc.double({ min: 0.99, max: 1.01, noNaN: true }),
});

describe('the square path', () => {
  it('finds track and wheels of the recorded laps within 99.9 %', () => {
    const found = encoderSquare({
      sideM: SIDE,
      trackM: TRACK,
      cw: lapsOf('cw'),
      ccw: lapsOf('ccw'),
    });
    const wide = 3.29 / 1.96;
    expect(Math.abs(found.trackRatio - 1.0046779)).toBeLessThan(
      (wide * (found.trackRatioHigh95 - found.trackRatioLow95)) / 2,
    );
    expect(Math.abs(found.diameterRatio - 0.9955219)).toBeLessThan(
      (wide * (found.diameterRatioHigh95 - found.diameterRatioLow95)) / 2,
    );
    expect(found.leftWheelFactor + found.rightWheelFactor).toBeCloseTo(2, 12);
    expect(found.rightWheelFactor / found.leftWheelFactor).toBeCloseTo(found.diameterRatio, 12);
    expect(encoderSquareSentences(found).found).toMatch(
      /track is 0\.\d+ % larger.*right wheel is 0\.\d+ % smaller/,
    );
  });

  it('finds known errors exactly, and its first guess is near', () => {
    fc.assert(
      fc.property(errors, (truth) => {
        const cw = squareReturn(SIDE, TRACK, truth, 'cw');
        const ccw = squareReturn(SIDE, TRACK, truth, 'ccw');
        const found = encoderSquare({ sideM: SIDE, trackM: TRACK, cw: [cw, cw], ccw: [ccw, ccw] });
        expect(found.trackRatio).toBeCloseTo(truth.trackRatio, 6);
        expect(found.diameterRatio).toBeCloseTo(truth.diameterRatio, 6);
        const guess = guessDriveErrors(SIDE, TRACK, cw, ccw);
        expect(guess.trackRatio).toBeCloseTo(truth.trackRatio, 2);
        expect(guess.diameterRatio).toBeCloseTo(truth.diameterRatio, 3);
      }),
      { numRuns: 15 },
    );
  });

  it('closes ten times better after correction, over errors of 4 % of track and 1 % of wheels', () => {
    // The simulator drives by the encoders; the corrected robot is told its true sizes.
    const robot = (trackScaleError: number, wheelDifference: number) => ({
      ...idealRobot,
      trackM: TRACK,
      errors: { ...idealRobot.errors, trackScaleError, wheelDifference },
    });
    const lap = (one: typeof idealRobot, direction: 'cw' | 'ccw') => {
      const angleRad = deg(direction === 'ccw' ? 90 : -90);
      const steps = Array.from({ length: 4 }, (): BenchStep[] => [
        { kind: 'straight', distanceM: 0.8, speedMPerS: 0.2, holdHeading: false },
        { kind: 'turn', angleRad, how: { school: 'encoder', rateRadPerS: 0.5 } },
      ]).flat();
      const pose = runBenchProgram(one, steps, 1).at(-1)?.pose ?? { xM: 9, yM: 9, headingRad: 9 };
      const sign = direction === 'ccw' ? 1 : -1;
      return { ...pose, headingRad: pose.headingRad - sign * 2 * Math.PI };
    };
    for (const [track, wheels] of [
      [0.04, 0.01],
      [-0.04, 0.01],
      [0.04, -0.01],
      [0.02, -0.005],
    ] as const) {
      const wrong = robot(track, wheels);
      const laps = { cw: lap(wrong, 'cw'), ccw: lap(wrong, 'ccw') };
      const found = encoderSquare({ sideM: 0.8, trackM: TRACK, cw: [laps.cw], ccw: [laps.ccw] });
      const value = driveFromSquare(found);
      // Told the true track and with wheels evened out by their factors, what is wrong is what is left.
      const left = (1 + track) / value.trackRatio - 1;
      const uneven = (1 + wheels) / (value.rightWheelFactor / value.leftWheelFactor) - 1;
      const corrected = { ...robot(left, uneven), trackM: TRACK * value.trackRatio };
      // The larger of both centres of gravity, as Borenstein and Feng measure it.
      const worst = (one: typeof laps) => Math.max(closureM(one.cw), closureM(one.ccw));
      const again = { cw: lap(corrected, 'cw'), ccw: lap(corrected, 'ccw') };
      expect(worst(again)).toBeLessThan(worst(laps) / 10);
    }
  });

  it('is not misled by a robot whose turns coast, if they slow down first', () => {
    const coasting = {
      ...idealRobot,
      trackM: TRACK,
      motors: { ...idealRobot.motors, lagS: 0.06 },
      errors: { ...idealRobot.errors, trackScaleError: 0.02 },
    };
    const lap = (direction: 'cw' | 'ccw', endRateRadPerS?: number) => {
      const angleRad = deg(direction === 'ccw' ? 90 : -90);
      const how = { school: 'encoder' as const, rateRadPerS: 0.9, endRateRadPerS };
      const steps = Array.from({ length: 4 }, (): BenchStep[] => [
        { kind: 'straight', distanceM: 0.8, speedMPerS: 0.2, holdHeading: false },
        { kind: 'turn', angleRad, how },
      ]).flat();
      const pose =
        runBenchProgram(coasting, steps, 1).at(-1)?.pose ??
        squareReturn(1, 1, { trackRatio: 1, diameterRatio: 1 }, 'cw');
      return { ...pose, headingRad: pose.headingRad - 2 * Math.PI * Math.sign(angleRad) };
    };
    const found = (end?: number) =>
      encoderSquare({ sideM: 0.8, trackM: TRACK, cw: [lap('cw', end)], ccw: [lap('ccw', end)] })
        .trackRatio;
    expect(found()).toBeLessThan(1);
    expect(found(0.03)).toBeGreaterThan(1.017);
    expect(found(0.03)).toBeLessThan(1.023);
  });

  it('has intervals that hold the truth in about 95 of 100 lists of laps', () => {
    const truth = { trackRatio: 1.02, diameterRatio: 0.996 };
    let held = 0;
    const lists = 100;
    for (let i = 0; i < lists; i += 1) {
      const random = randomStream(5, i, 'laps');
      const laps = (direction: 'cw' | 'ccw') =>
        Array.from({ length: 4 }, () => {
          const { xM, yM, headingRad } = squareReturn(SIDE, TRACK, truth, direction);
          return {
            xM: xM + 0.006 * random.normal(),
            yM: yM + 0.006 * random.normal(),
            headingRad: headingRad + deg(0.5) * random.normal(),
          };
        });
      const found = encoderSquare({ sideM: SIDE, trackM: TRACK, cw: laps('cw'), ccw: laps('ccw') });
      if (found.trackRatioLow95 < 1.02 && found.trackRatioHigh95 > 1.02) held += 1;
    }
    expect(held).toBeGreaterThanOrEqual(89);
  });

  it('from one lap each way grows with the scatter of the robot', () => {
    const truth = { trackRatio: 1.02, diameterRatio: 0.996 };
    const widths = [0.003, 0.015].map((scatterM) => {
      let held = 0;
      let width = 0;
      const lists = 100;
      for (let i = 0; i < lists; i += 1) {
        const random = randomStream(11, i, 'single laps');
        const lap = (direction: 'cw' | 'ccw') => {
          const { xM, yM, headingRad } = squareReturn(SIDE, TRACK, truth, direction);
          return {
            xM: xM + scatterM * random.normal(),
            yM: yM + scatterM * random.normal(),
            headingRad: headingRad + (scatterM / 0.15) * deg(4) * random.normal(),
          };
        };
        const cw = [lap('cw')];
        const ccw = [lap('ccw')];
        const found = encoderSquare({ sideM: SIDE, trackM: TRACK, cw, ccw });
        if (found.trackRatioLow95 < 1.02 && found.trackRatioHigh95 > 1.02) held += 1;
        width += (found.trackRatioHigh95 - found.trackRatioLow95) / lists;
      }
      // 95 of 100, known to 2.2.
      expect(held).toBeGreaterThanOrEqual(89);
      return width;
    });
    expect(widths[1]).toBeGreaterThan(1.3 * (widths[0] ?? Infinity));
  });

  it('turned by the gyro tells drift from turn bias by the signs', () => {
    const lap = (headingDeg: number) => ({ xM: 0, yM: 0, headingRad: deg(headingDeg) });
    const bias = gyroSquare({
      sideM: SIDE,
      trackM: TRACK,
      cw: [-8, -8.2].map(lap),
      ccw: [8, 7.8].map(lap),
    });
    expect(bias.turnBiasRad).toBeCloseTo(deg(2), 9);
    expect(bias.driftRadPerLap).toBeCloseTo(deg(0.1), 1);
    const drift = gyroSquare({
      sideM: SIDE,
      trackM: TRACK,
      cw: [-3, -3.1].map(lap),
      ccw: [-3, -2.9].map(lap),
    });
    // A reading that drifts to the left makes the robot end to the right.
    expect(drift.driftRadPerLap).toBeCloseTo(deg(3), 9);
    expect(gyroSquareSentences(drift).found).toMatch(
      /no turn bias is proved; the heading sensor drifts by 3° to the left/i,
    );
    expect(wheelFactors(1)).toEqual({ left: 1, right: 1 });
  });
});
