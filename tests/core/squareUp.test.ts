import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { planRoute } from '../../src/core/course/plan';
import { headingOf, withHeading } from '../../src/core/devices/ofRobot';
import { prepare, type Simulation } from '../../src/core/forecast/prepare';
import { simulateRun } from '../../src/core/forecast/run';
import { wrap } from '../../src/core/geometry/angle';
import { sampleSd } from '../../src/core/stats/moments';
import { tableSchema } from '../../src/core/table/table';
import { bareTable, deg, idealRobot, routeOf } from './support';

const squareUp = { kind: 'square-up', back: true, speedMPerS: 0.15, pressS: 1 };
const ahead = (distanceM: number) => ({ kind: 'straight', distanceM, speedMPerS: 0.3 });
/** A gyro that drifts by 1°/s. */
const drifting = withHeading(idealRobot, { driftRadPerS: deg(1) });
const measured = (headingSdRad: number, straightensPerM: number | null) => ({
  ...idealRobot,
  measured: {
    ...idealRobot.measured,
    squaring: { headingSdRad, straightensPerM, speedMPerS: 0.15, pressS: 1 },
  },
});
const start = { xM: 0.4, yM: 1.5, headingRad: 0 };

function ends(simulation: Omit<Simulation, 'table' | 'seed'>, runs = 1) {
  const all = { ...simulation, table: bareTable, seed: 2 };
  const prepared = prepare(all);
  return Array.from({ length: runs }, (_, i) => simulateRun(all, prepared, i).end);
}

describe('squaring up on the border', () => {
  it('is planned to stand flush, its back at the border, and to take its time to get there', () => {
    const [planned] = planRoute(routeOf([squareUp], start), idealRobot, bareTable);
    expect(planned?.to.xM).toBeCloseTo(idealRobot.body.rearM, 9);
    expect(planned?.to.yM).toBeCloseTo(1.5, 9);
    expect(planned?.distanceM).toBeCloseTo(-(0.4 - idealRobot.body.rearM), 9);
    expect(planned?.durationS).toBeGreaterThan((0.4 - idealRobot.body.rearM) / 0.15 + 1);
    const askew = { ...start, headingRad: deg(8) };
    const [turned] = planRoute(routeOf([squareUp], askew), idealRobot, bareTable);
    expect(turned?.to.headingRad).toBeCloseTo(0, 9);
    expect(turned?.to.yM).toBeCloseTo(1.5 - (0.4 - idealRobot.body.rearM) * Math.tan(deg(8)), 9);
  });

  it('ends a run where it was planned, on any side of the table, by the front too', () => {
    for (const headingDeg of [0, 90, 180, 270]) {
      for (const back of [true, false]) {
        const at = { xM: 1.5, yM: 1.5, headingRad: deg(headingDeg) };
        const route = routeOf([{ ...squareUp, back }], at);
        const [planned] = planRoute(route, idealRobot, bareTable);
        const [end] = ends({ robot: idealRobot, route });
        expect(planned?.problems).toEqual([]);
        expect(end?.failedStep).toBeNull();
        expect(
          Math.hypot(
            (end?.xM ?? 0) - (planned?.to.xM ?? 9),
            (end?.yM ?? 0) - (planned?.to.yM ?? 9),
          ),
        ).toBeLessThan(0.002);
      }
    }
  });

  it('takes out what the gyro drifted until then', () => {
    const route = (steps: unknown[]) => routeOf([ahead(1.2), ahead(-1.1), ...steps], start);
    const [without] = ends({ robot: drifting, route: route([ahead(0.5)]) });
    const [with_] = ends({ robot: drifting, route: route([squareUp, ahead(0.5)]) });
    expect(headingOf(drifting)?.driftRadPerS).toBeCloseTo(deg(1), 9);
    expect(Math.abs(without?.headingRad ?? 0)).toBeGreaterThan(deg(9));
    expect(Math.abs(with_?.headingRad ?? 9)).toBeLessThan(deg(2.6));
  });

  it('leaves the scatter that was measured, and of a heading error what pressing so long leaves', () => {
    const route = routeOf([squareUp, ahead(0.8)], start);
    const facing = ends({ robot: measured(deg(0.8), null), route }, 200).map(
      ({ headingRad }) => headingRad,
    );
    expect(sampleSd(facing)).toBeGreaterThan(deg(0.68));
    expect(sampleSd(facing)).toBeLessThan(deg(0.92));
    // e⁻¹ of 10° is left when the wheels would have driven 15 cm.
    const askew = routeOf([squareUp, ahead(0.8)], { ...start, headingRad: deg(10) });
    const [end] = ends({ robot: measured(0, 1 / 0.15), route: askew });
    expect(Math.abs(end?.headingRad ?? 0)).toBeCloseTo(deg(10) / Math.E, 2);
  });

  it('says what cannot work: too askew, pressed too briefly', () => {
    const problemsAt = (headingDeg: number, table = bareTable, robot = idealRobot) =>
      planRoute(routeOf([squareUp], { ...start, headingRad: deg(headingDeg) }), robot, table)[0]
        ?.problems;
    expect(problemsAt(15)).toEqual([]);
    expect(problemsAt(30)).toEqual(['askew']);
    expect(problemsAt(0, bareTable, measured(0, 1 / 0.15))).toEqual(['pressed-briefly']);
    expect(problemsAt(0, bareTable, measured(0, 4 / 0.15))).toEqual([]);
  });
});

describe('squaring up on what stands on the table', () => {
  const exactly = { alongSdM: 0, acrossSdM: 0, headingSdRad: 0 };
  function made(steps: unknown[], from: typeof start, things: object) {
    const table = tableSchema.parse({ ...bareTable, ...things });
    const route = { ...routeOf(steps, from), placement: exactly };
    const plan = planRoute(route, idealRobot, table);
    const simulation = { robot: idealRobot, route, table, seed: 4 };
    const { end } = simulateRun(simulation, prepare(simulation), 0);
    const to = plan.at(-1)?.to ?? from;
    return {
      plan,
      end,
      offM: Math.hypot(end.xM - to.xM, end.yM - to.yM),
      offRad: Math.abs(wrap(end.headingRad - to.headingRad)),
    };
  }

  it('ends where it was planned, on a wall of any direction, from ahead or behind, a little askew', () => {
    const wayDeg = fc.integer({ min: 0, max: 359 });
    const askewDeg = fc.integer({ min: -15, max: 15 });
    fc.assert(
      fc.property(wayDeg, askewDeg, fc.boolean(), (facing, askew, back) => {
        const [c, s] = [Math.cos(deg(facing)), Math.sin(deg(facing))];
        const wall = { x1M: 2 - s, y1M: 1.5 + c, x2M: 2 + s, y2M: 1.5 - c };
        const headingRad = deg(facing + askew + (back ? 180 : 0));
        const from = { xM: 2 - 0.5 * c, yM: 1.5 - 0.5 * s, headingRad };
        const away = ahead(back ? 0.3 : -0.3);
        const { plan, end, offM, offRad } = made([{ ...squareUp, back }, away], from, {
          walls: [wall],
        });
        expect(plan.flatMap(({ problems }) => problems)).toEqual([]);
        expect(plan[0]?.standsAgainst).toBe('wall 1 of the table');
        expect(end.failure).toBeNull();
        expect(offM).toBeLessThan(0.001);
        expect(offRad).toBeLessThan(deg(0.1));
      }),
      { numRuns: 60 },
    );
  });

  it.each([
    ['wide', [1, 2], 6, []],
    ['narrower than the robot, in its middle', [1.46, 1.54], 0, []],
    ['narrower than the robot, come upon askew', [1.46, 1.54], 14, ['held-on-one-side']],
    ['at its end', [1.55, 2], 0, ['held-on-one-side']],
    ['met by too large an angle', [1, 2], 25, ['askew']],
  ])(
    'holds it if that is an obstacle that is %s, or it is said',
    (_, [y1M, y2M], askewDeg, said) => {
      const from = { xM: 0.6, yM: 1.5, headingRad: deg(askewDeg) };
      const box = { x1M: 1, y1M, x2M: 1.4, y2M, heightM: 0.1 };
      const steps = [{ ...squareUp, back: false }, ahead(-0.2)];
      const { plan, offM, offRad } = made(steps, from, { obstacles: [box] });
      expect(plan[0]?.problems).toEqual(said);
      expect(plan[0]?.standsAgainst).toBe('obstacle 1 of the table');
      const isAtPlan = offM < 0.001 && offRad < deg(0.1);
      expect(isAtPlan).toBe(said.length === 0);
    },
  );

  it('squares up again and again on one wall, by motors that are late', () => {
    const late = { ...idealRobot, motors: { ...idealRobot.motors, lagS: 0.08 } };
    const table = tableSchema.parse({ ...bareTable, walls: [{ x1M: 1, y1M: 1, x2M: 1, y2M: 2 }] });
    const steps = Array.from({ length: 6 }, () => [{ ...squareUp, back: false }, ahead(-0.2)]);
    const simulation = {
      ...{ robot: late, table, seed: 4 },
      route: routeOf(steps.flat(), { xM: 0.7, yM: 1.5, headingRad: 0.05 }),
    };
    const prepared = prepare(simulation);
    const ends = Array.from({ length: 40 }, (_, i) => simulateRun(simulation, prepared, i).end);
    expect(ends.filter(({ failure }) => failure !== null)).toEqual([]);
  });

  it('counts its wheels as held anew in each motion: touched behind, it drives on to what is ahead', () => {
    const touch = { kind: 'touch', sensor: 'stall', speedMPerS: 0.2 };
    const steps = [{ ...touch, back: true }, touch];
    const { end, offM } = made(
      steps,
      { ...start, xM: 0.6 },
      {
        walls: [{ x1M: 2, y1M: 1, x2M: 2, y2M: 2 }],
      },
    );
    expect(end.xM).toBeCloseTo(2 - idealRobot.body.frontM, 2);
    expect(offM).toBeLessThan(0.001);
  });

  it('pushes it on while it is pressed only: a drive at that wall is stopped, one past another fails', () => {
    const walls = [
      { x1M: 1, y1M: 1, x2M: 1, y2M: 2 },
      { x1M: 0.2, y1M: 1, x2M: 0.2, y2M: 2 },
    ];
    const from = { xM: 0.6, yM: 1.5, headingRad: 0 };
    const square = { ...squareUp, back: false };
    const pressing = made([square, ahead(0.4)], from, { walls }).end;
    expect(pressing).toMatchObject({ failure: 'wall', failedStep: 1 });
    expect(pressing.timeS).toBeLessThan(6);
    expect(made([square, ahead(-0.8)], from, { walls }).end.failure).toBe('wall');
    // Placed at a wall it drives away from it.
    const atWall = { ...from, xM: 0.2 + idealRobot.body.rearM };
    expect(made([ahead(0.4)], atWall, { walls }).offM).toBeLessThan(0.001);
  });
});
