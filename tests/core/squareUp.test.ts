import { describe, expect, it } from 'vitest';
import { planRoute } from '../../src/core/course/plan';
import { headingOf, withHeading } from '../../src/core/devices/ofRobot';
import { prepare, type Simulation } from '../../src/core/forecast/prepare';
import { simulateRun } from '../../src/core/forecast/run';
import { sampleSd } from '../../src/core/stats/moments';
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

  it('says what cannot work: too askew, a wall in the way, pressed too briefly', () => {
    const problemsAt = (headingDeg: number, table = bareTable, robot = idealRobot) =>
      planRoute(routeOf([squareUp], { ...start, headingRad: deg(headingDeg) }), robot, table)[0]
        ?.problems;
    expect(problemsAt(15)).toEqual([]);
    expect(problemsAt(30)).toEqual(['askew']);
    const wall = { x1M: 0.2, y1M: 1, x2M: 0.2, y2M: 2 };
    expect(problemsAt(0, { ...bareTable, walls: [wall] })).toEqual(['wall-before-border']);
    expect(problemsAt(0, bareTable, measured(0, 1 / 0.15))).toEqual(['pressed-briefly']);
    expect(problemsAt(0, bareTable, measured(0, 4 / 0.15))).toEqual([]);
  });
});
