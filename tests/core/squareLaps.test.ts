import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { radiansFromDegrees, wrap } from '../../src/core/geometry/angle';
import { ownReturns } from '../../src/core/square/ownReturns';
import { encoderSquare } from '../../src/core/square/squareFit';
import { closureM, squareReturn, type LapReturn } from '../../src/core/square/squarePath';
import { squareWays } from '../../src/core/square/squareWays';
import { toTable } from '../../src/core/geometry/pose';
import { randomStream } from '../../src/core/stats/random';
import { runBenchProgram } from '../../src/core/standIn/program';
import { lapProgram } from '../../src/stations/bench/standIn/lapProgram';
import { deg, idealRobot } from './support';

const SIDE = 1;
const TRACK = 0.14;
const errors = fc.record({
  trackRatio: fc.double({ min: 0.96, max: 1.04, noNaN: true }),
  diameterRatio: fc.double({ min: 0.99, max: 1.01, noNaN: true }),
});
const lap = (robot: typeof idealRobot, direction: 'cw' | 'ccw', corners: 'spin' | 'pivot') => {
  const steps = lapProgram(SIDE, 'encoders', direction, corners);
  const pose = runBenchProgram(robot, steps, 1).at(-1)?.pose;
  if (pose === undefined) throw new Error('it did not drive');
  return { ...pose, headingRad: wrap(pose.headingRad) };
};

describe('squares whose corners are pivots', () => {
  it('close as those that turn on the spot, and tell the same errors of a drive', () => {
    expect(
      closureM(squareReturn(SIDE, TRACK, { trackRatio: 1, diameterRatio: 1 }, 'ccw', 'pivot')),
    ).toBeCloseTo(0, 12);
    fc.assert(
      fc.property(errors, (truth) => {
        const cw = squareReturn(SIDE, TRACK, truth, 'cw', 'pivot');
        const ccw = squareReturn(SIDE, TRACK, truth, 'ccw', 'pivot');
        const laps = { sideM: SIDE, trackM: TRACK, cw: [cw, cw], ccw: [ccw, ccw] };
        const found = encoderSquare({ ...laps, corners: 'pivot' });
        expect(found.trackRatio).toBeCloseTo(truth.trackRatio, 6);
        expect(found.diameterRatio).toBeCloseTo(truth.diameterRatio, 6);
      }),
      { numRuns: 15 },
    );
  });

  it('are driven so on the simulator: the inner wheel stands, and the fit finds its track', () => {
    const robot = {
      ...idealRobot,
      trackM: TRACK,
      errors: { ...idealRobot.errors, trackScaleError: 0.03, wheelDifference: -0.004 },
    };
    const laps = { sideM: SIDE, trackM: TRACK, corners: 'pivot' as const };
    const found = encoderSquare({
      ...laps,
      cw: [lap(robot, 'cw', 'pivot')],
      ccw: [lap(robot, 'ccw', 'pivot')],
    });
    expect(found.trackRatio).toBeCloseTo(1.03, 2.5);
    expect(found.diameterRatio).toBeCloseTo(0.996, 2.7);
    const turn = lapProgram(SIDE, 'encoders', 'ccw', 'pivot').slice(1, 2);
    const samples = runBenchProgram(robot, turn, 1);
    expect(Math.max(...samples.map(({ leftM }) => Math.abs(leftM)))).toBe(0);
    expect(samples.at(-1)?.rightM).toBeCloseTo((TRACK * Math.PI) / 2, 2);
  });
});

describe('laps that go on without being placed anew', () => {
  const own: LapReturn = { xM: 0.03, yM: -0.02, headingRad: deg(4) };
  /** Where it stands after one more lap that begins at a pose. */
  const after = (from: LapReturn): LapReturn => ({
    ...toTable(from, own),
    headingRad: wrap(from.headingRad + own.headingRad),
  });

  it('count by what each adds, not by what has gathered', () => {
    let pose: LapReturn = { xM: 0, yM: 0, headingRad: 0 };
    const laps = Array.from({ length: 5 }, (_, i) => {
      pose = after(pose);
      return { ...pose, goesOn: i > 0 };
    });
    expect(closureM(laps[4] ?? own)).toBeGreaterThan(3 * closureM(own));
    for (const { xM, yM, headingRad } of ownReturns(laps)) {
      expect(xM).toBeCloseTo(own.xM, 12);
      expect(yM).toBeCloseTo(own.yM, 12);
      expect(headingRad).toBeCloseTo(own.headingRad, 12);
    }
  });

  it('a lap that was placed at the mark is as it was measured', () => {
    const laps = [own, own].map((one) => ({ ...one, goesOn: false }));
    expect(ownReturns(laps)).toEqual(laps);
    expect(ownReturns([{ ...own, goesOn: true }])[0]).toMatchObject(own);
  });
});

describe('the gyro against the encoders', () => {
  const laps = (driven: 'gyro' | 'encoders', offM: number, n: number) => {
    const random = randomStream(3, n, driven);
    return Array.from({ length: n }, () => ({
      driven,
      xM: offM + 0.01 * random.normal(),
      yM: 0.01 * random.normal(),
      headingRad: radiansFromDegrees(offM * 20),
    }));
  };

  it('is decided by laps of both, and left open by too few of them', () => {
    const told = (n: number) =>
      squareWays([...laps('encoders', 0.1, n), ...laps('gyro', 0.02, n)])?.sentence;
    expect(told(6)).toMatch(/^The gyro does better here: by the encoders 6 laps end \d+ mm off/);
    expect(told(2)).toMatch(/^So few laps prove no difference/);
    expect(squareWays(laps('gyro', 0.02, 6))).toBeNull();
  });
});
