import { describe, expect, it } from 'vitest';
import { trialPlan } from '../../src/core/turns/trialPlan';
import { deg } from './support';

const turn = (degrees: number, rate: number, kind: 'spin' | 'pivot' = 'spin') => ({
  targetRad: deg(degrees),
  rateRadPerS: deg(rate),
  kind,
});

describe('the plan of turn trials', () => {
  it('is two angles, both ways, at two rates, three of each', () => {
    const plan = trialPlan([], [45, -90, 180].map(deg), 'spin');
    expect(plan).toMatchObject({ each: 3, done: 0, wanted: 24 });
    expect(plan.rates).toEqual([deg(90), deg(180)]);
    const told = new Set(
      plan.turns.map(
        ({ targetRad, direction }) => `${Math.round(targetRad / deg(1))} ${direction}`,
      ),
    );
    expect([...told].toSorted()).toEqual(['180 left', '180 right', '45 left', '45 right']);
  });

  it('counts what was made of each, no more than it wants, and pivots apart', () => {
    const made = [
      ...Array.from({ length: 5 }, () => turn(90, 90)),
      turn(-90, 180),
      turn(90, 90, 'pivot'),
      turn(60, 90),
    ];
    const plan = trialPlan(made, [deg(90)], 'spin');
    expect(plan.wanted).toBe(12);
    expect(plan.done).toBe(3 + 1);
    expect(trialPlan(made, [deg(90)], 'pivot').done).toBe(1);
  });

  it('keeps to the rates that the team tries, and adds a second that is far from the first', () => {
    expect(trialPlan([turn(90, 60)], [deg(90)], 'spin').rates[1]).toBeCloseTo(deg(120), 9);
    const three = [turn(90, 50), turn(90, 200), turn(90, 120)];
    expect(trialPlan(three, [deg(90)], 'spin').rates).toEqual([deg(50), deg(200)]);
    // What is set up meanwhile does not move the plan.
    expect(trialPlan([turn(90, 180)], [deg(90)], 'spin').rates).toEqual([deg(90), deg(180)]);
  });
});
