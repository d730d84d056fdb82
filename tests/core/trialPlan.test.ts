import { describe, expect, it } from 'vitest';
import { trialPlan } from '../../src/core/turns/trialPlan';
import { deg } from './support';

const turn = (degrees: number, rate: number, kind: 'spin' | 'pivot' = 'spin') => ({
  targetRad: deg(degrees),
  rateRadPerS: deg(rate),
  kind,
});

describe('the plan of turn trials', () => {
  /** What is made first, and what else the plan is kept apart from. */
  const four = [turn(45, 90), turn(-45, 90), turn(180, 90), turn(-180, 90)];

  it('begins with four turns, to either side, at the rate that the team uses', () => {
    const plan = trialPlan([], [45, -90, 180].map(deg), 'spin');
    expect(plan).toMatchObject({ isFirst: true, each: 1, done: 0, wanted: 4, rates: [deg(90)] });
    expect(trialPlan([], [deg(90)], 'spin')).toMatchObject({ isFirst: true, each: 2, wanted: 4 });
    expect(trialPlan([turn(90, 180)], [deg(90)], 'spin').rates).toEqual([deg(180)]);
    expect(trialPlan(four.slice(1), [45, 180].map(deg), 'spin')).toMatchObject({ done: 3 });
  });

  it('is two angles, both ways, at two rates, three of each', () => {
    const plan = trialPlan(four, [45, -90, 180].map(deg), 'spin');
    expect(plan).toMatchObject({ isFirst: false, each: 3, done: 4, wanted: 24 });
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
      ...Array.from({ length: 2 }, () => turn(-90, 90)),
      turn(-90, 180),
      turn(90, 90, 'pivot'),
      turn(60, 90),
    ];
    const plan = trialPlan(made, [deg(90)], 'spin');
    expect(plan.wanted).toBe(12);
    expect(plan.done).toBe(3 + 2 + 1);
    expect(trialPlan(made, [deg(90)], 'pivot').done).toBe(1);
  });

  it('keeps to the rates that the team tries, and adds a second that is far from the first', () => {
    const begun = (rate: number) => [90, 90, -90, -90].map((angle) => turn(angle, rate));
    expect(trialPlan(begun(60), [deg(90)], 'spin').rates[1]).toBeCloseTo(deg(120), 9);
    const three = [...begun(50), turn(90, 200), turn(90, 120)];
    expect(trialPlan(three, [deg(90)], 'spin').rates).toEqual([deg(50), deg(200)]);
    // What is set up meanwhile does not move the plan.
    expect(trialPlan(begun(180), [deg(90)], 'spin').rates).toEqual([deg(90), deg(180)]);
  });
});
