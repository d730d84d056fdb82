import { describe, expect, it } from 'vitest';
import {
  straightStrategies,
  TURNED_OFF_RAD,
  type StraightOutcome,
} from '../../src/core/drive/straightStrategies';
import { straightStrategySentences } from '../../src/core/drive/straightStrategyText';
import { pipit } from '../../src/server/demo/scenario';
import { deg, idealRobot } from './support';

const WANTED = {
  distanceM: 1,
  speedMPerS: 0.25,
  gains: { headingMPerSPerRad: 0.6, balancePerS: 8 },
};
const of = (
  outcomes: StraightOutcome[],
  way: StraightOutcome['way'],
  mishap: StraightOutcome['mishap'],
): StraightOutcome => {
  const found = outcomes.find((one) => one.way === way && one.mishap === mishap);
  if (found === undefined) throw new Error(`${way}, ${mishap}`);
  return found;
};

describe('ways of driving straight on a robot without errors', () => {
  const ideal = straightStrategies(idealRobot, WANTED, 3, 1);

  it('all drive straight where nothing happens, in the same time', () => {
    for (const way of ['absolute', 'leg-start', 'balance', 'open-loop'] as const) {
      const one = of(ideal, way, 'nothing');
      expect(Math.abs(one.sidewaysM)).toBeLessThan(5e-4);
      expect(one.timeS).toBeCloseTo(of(ideal, 'open-loop', 'nothing').timeS, 1);
    }
  });

  it('keep what the turn before left over, but the one that holds the plan’s heading', () => {
    for (const way of ['leg-start', 'balance', 'open-loop'] as const) {
      const one = of(ideal, way, 'turned-off');
      // A metre at 2°: 35 mm.
      expect(one.sidewaysM).toBeCloseTo(Math.sin(TURNED_OFF_RAD), 3);
      expect(one.headingRad).toBeCloseTo(TURNED_OFF_RAD, 3);
    }
    const absolute = of(ideal, 'absolute', 'turned-off');
    expect(absolute.headingRad).toBeCloseTo(0, 2);
    // Until it has turned back, time constant track over gain, it goes to the side.
    const settledM = (WANTED.speedMPerS * 0.13 * TURNED_OFF_RAD) / 0.6;
    expect(absolute.sidewaysM).toBeCloseTo(settledM, 3);
  });

  it('drive an arc with a weak motor where nothing corrects it', () => {
    // 5 % less on the right: an angle of 5 % of the way over the track.
    const { headingRad, sidewaysM } = of(ideal, 'open-loop', 'weak-motor');
    const turned = -(0.05 / 0.975) / 0.13;
    expect(headingRad / turned).toBeCloseTo(1, 1);
    expect(sidewaysM / (turned / 2)).toBeCloseTo(1, 1);
    for (const way of ['absolute', 'leg-start', 'balance'] as const) {
      expect(Math.abs(of(ideal, way, 'weak-motor').sidewaysM)).toBeLessThan(0.1);
    }
  });

  it('come back to their heading after a push, but for the one that does not look', () => {
    expect(Math.abs(of(ideal, 'open-loop', 'push').headingRad)).toBeGreaterThan(deg(10));
    for (const way of ['absolute', 'leg-start', 'balance'] as const) {
      expect(Math.abs(of(ideal, way, 'push').headingRad)).toBeLessThan(deg(2));
    }
  });
});

it('on a team’s robot the sentences say what the figures say', () => {
  const outcomes = straightStrategies(pipit, WANTED, 12, 1);
  expect(straightStrategies(pipit, WANTED, 12, 1)).toEqual(outcomes);
  const { found, means, next } = straightStrategySentences(outcomes, WANTED.distanceM);
  const [, best] =
    /^A robot that (.+) ends nearest to the plan, .* 100 cm: within \d+ mm\.$/.exec(found) ?? [];
  expect(best).toBe('holds the plan’s heading');
  const zeroed = of(outcomes, 'leg-start', 'turned-off').sidewaysM;
  expect(means).toContain(`${Math.round(1000 * zeroed)} mm where it zeroes its sensor`);
  expect(next).toMatch(/5 % weaker ends \d+ mm to the right\..*zero the sensor only at the start/);
  for (const { sidewaysSdM, path } of outcomes) {
    expect(sidewaysSdM).toBeGreaterThan(0);
    expect(path.at(-1)?.alongM).toBeGreaterThan(0.5);
  }
});
