import { describe, expect, it } from 'vitest';
import { motorLag } from '../../src/core/loop/motorLag';
import { loopStudy } from '../../src/core/loop/loopStudy';
import { randomStream } from '../../src/core/stats/random';
import { Wheel } from '../../src/core/machine/wheel';
import { deg } from './support';

const PERIOD_S = 0.02;
const M_PER_DEGREE = (Math.PI * 0.056) / 360;

/** Angles of two motors that are started and stopped several times, read in whole degrees. */
function log(lagS: number, starts: number, command: (sinceS: number) => number) {
  const motors = { lagS, maxAccelerationMPerS2: 8, maxSpeedMPerS: 1 };
  const [left, right] = [new Wheel(motors, PERIOD_S), new Wheel(motors, PERIOD_S)];
  const random = randomStream(6, starts, 'starts');
  const [tS, leftDeg, rightDeg]: [number[], number[], number[]] = [[], [], []];
  let beganS = random.uniform();
  for (let i = 0; i < starts * 110; i += 1) {
    const t = i * PERIOD_S;
    if (t - beganS > 2) beganS += 2 + 0.02 * random.uniform();
    const since = t - beganS;
    const speed = since >= 0 && since < 1.2 ? command(since) : 0;
    left.aimAt(-speed);
    right.aimAt(speed);
    tS.push(t);
    leftDeg.push(Math.round(left.rollM / M_PER_DEGREE));
    rightDeg.push(Math.round(right.rollM / M_PER_DEGREE));
    left.pass();
    right.pass();
  }
  return {
    tS: Float64Array.from(tS),
    columns: {
      leftMotorDegrees: Float64Array.from(leftDeg),
      rightMotorDegrees: Float64Array.from(rightDeg),
      headingRad: Float64Array.from(rightDeg, (value) => deg(value / 3)),
    },
  };
}

describe('the lag of the motors', () => {
  it.each([0.03, 0.06, 0.12])('is found from their starts: %d s', (lagS) => {
    const found = motorLag(log(lagS, 8, () => 0.25));
    expect(found?.starts).toBeGreaterThan(10);
    expect(found?.ramped).toBe(0);
    expect(found?.lagS).toBeGreaterThan(0.88 * lagS - 0.003);
    expect(found?.lagS).toBeLessThan(1.12 * lagS + 0.003);
    expect(found?.high95S ?? 0).toBeGreaterThan(found?.low95S ?? 1);
  });

  it('is not taken from starts that a program ramps, and that is said', () => {
    const found = motorLag(log(0.02, 5, (since) => Math.min(0.25, 0.5 * since)));
    expect(found).toMatchObject({ lagS: null, starts: 0 });
    expect(found?.ramped).toBeGreaterThan(5);
    const text = loopStudy(
      log(0.02, 5, (since) => Math.min(0.25, 0.5 * since)),
      deg(180),
    );
    expect(text?.sentences.means).toContain('the program ramps them');
  });

  it('is said with its interval; of a log without starts, or without motors, nothing is', () => {
    const study = loopStudy(
      log(0.06, 8, () => 0.25),
      deg(180),
    );
    expect(study?.sentences.means).toMatch(
      /Its motors come to 63 % of their speed within \d\d ms \(\d\d ms to \d\d ms\)/,
    );
    const still = log(0.06, 3, () => 0);
    expect(motorLag(still)).toBeNull();
    expect(
      motorLag({ tS: still.tS, columns: { headingRad: still.columns.headingRad } }),
    ).toBeNull();
  });
});
