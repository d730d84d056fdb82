import { describe, expect, it } from 'vitest';
import { roughPercent, roughRate } from '../../src/core/program/turnRate';
import { randomStream } from '../../src/core/stats/random';
import { turnErrorModel } from '../../src/core/turns/errorModel';
import { turnModel } from '../../src/core/turns/turnModel';
import { weightsOfTurns } from '../../src/core/turns/weights';
import { deg, idealRobot } from './support';

/** Turns by 90° that go 6° too far: some read by a protractor, some guessed with a large error. */
function turns(seed: number, read: number, guessed: number) {
  const random = randomStream(seed, 0, 'turns');
  const one = (readingSdRad: number | undefined) => ({
    target: deg(90),
    actual: deg(96) + deg(0.7) * random.normal() + (readingSdRad ?? 0) * random.normal(),
    readingSdRad,
  });
  return [
    ...Array.from({ length: read }, () => one(undefined)),
    ...Array.from({ length: guessed }, () => one(deg(8))),
  ];
}

describe('angles that were judged by eye, give or take some degrees', () => {
  it('weigh by their own variance beside that of an ordinary turn; all alike where none was', () => {
    expect(weightsOfTurns(turns(1, 6, 0))).toEqual([1, 1, 1, 1, 1, 1]);
    const weights = weightsOfTurns(turns(1, 30, 2));
    expect(weights[0]).toBe(1);
    expect(weights.at(-1)).toBeGreaterThan(0.003);
    expect(weights.at(-1)).toBeLessThan(0.02);
  });

  it('hardly move what a protractor tells, and the interval holds the truth in 93 to 98 of 100', () => {
    let held = 0;
    let squares = 0;
    let plain = 0;
    const benches = 400;
    for (let seed = 0; seed < benches; seed += 1) {
      const trials = turns(seed, 5, 5);
      const found = turnErrorModel(trials, 'c');
      const error = found.residualSdRad * Math.sqrt(found.fit.unscaledCovariance[0]?.[0] ?? 0);
      // Student’s t with nine degrees of freedom.
      if (Math.abs(found.constantRad - deg(6)) < 2.262 * error) held += 1;
      squares += (found.constantRad - deg(6)) ** 2;
      const unweighted = trials.map(({ target, actual }) => ({ target, actual }));
      plain += (turnErrorModel(unweighted, 'c').constantRad - deg(6)) ** 2;
    }
    expect(held / benches).toBeGreaterThan(0.91);
    expect(held / benches).toBeLessThan(0.98);
    // Taken for readings of a protractor the guesses would spoil it several times over.
    expect(Math.sqrt(squares / benches)).toBeLessThan(deg(0.45));
    expect(Math.sqrt(plain / benches)).toBeGreaterThan(deg(1.5));
  });

  it('go through a whole study of turns', () => {
    const trials = turns(4, 6, 3).map(({ target, actual, readingSdRad }) => ({
      targetRad: target,
      actualRad: actual,
      rateRadPerS: deg(90),
      kind: 'spin' as const,
      readingSdRad: readingSdRad ?? null,
    }));
    const [group] = turnModel(trials, 0, [deg(90)]).groups;
    expect(group?.model.constantRad).toBeCloseTo(deg(6), 1.5);
  });
});

it('a power that nobody has timed stands for the share of the record’s top speed', () => {
  const rate = roughRate(idealRobot, 'spin', 50);
  expect(rate).toBeCloseTo(idealRobot.motors.maxSpeedMPerS / idealRobot.trackM, 9);
  expect(roughRate(idealRobot, 'pivot', 50)).toBeCloseTo(rate / 2, 9);
  expect(roughPercent(idealRobot, 'spin', rate)).toBeCloseTo(50, 9);
});
