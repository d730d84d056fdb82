import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { planRoute } from '../../src/core/course/plan';
import { prepare } from '../../src/core/forecast/prepare';
import { routeCheck } from '../../src/core/forecast/routeCheck';
import { simulateRun } from '../../src/core/forecast/run';
import { createMachine } from '../../src/core/machine/machine';
import { linePoints } from '../../src/core/table/bentLine';
import { tableSchema } from '../../src/core/table/table';
import { bareTable, deg, idealRobot, routeOf, withDevice, withoutDevices } from './support';

const eye = (heightM: number | null) =>
  withDevice(withoutDevices(idealRobot, 'distance sensor'), {
    kind: 'distance sensor',
    id: 'd',
    label: 'D',
    place: { aheadM: 0.1, heightM },
    behaviour: { noiseM: 0, lostEchoShare: 0, offsetM: 0, scale: 1, quantumM: 0 },
  });

describe('a bent line', () => {
  it('is an arc from end to end that turns by its bend, told to within a millimetre', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -6, max: 6, noNaN: true }),
        fc.double({ min: 0.1, max: 2, noNaN: true }),
        fc.double({ min: -3, max: 3, noNaN: true }),
        (bendRad, chordM, towardsRad) => {
          const [x2M, y2M] = [chordM * Math.cos(towardsRad), chordM * Math.sin(towardsRad)];
          const line = { x1M: 0, y1M: 0, x2M, y2M, widthM: 0.02, bendRad };
          const points = linePoints(line);
          if (Math.abs(bendRad) < 0.01) return;
          // The centre of its circle, by school geometry: left of the chord for a bend to the left.
          const radiusM = chordM / 2 / Math.sin(Math.abs(bendRad) / 2);
          const toCentreM = (chordM / 2 / Math.tan(Math.abs(bendRad) / 2)) * Math.sign(bendRad);
          const centre = {
            xM: x2M / 2 - toCentreM * Math.sin(towardsRad),
            yM: y2M / 2 + toCentreM * Math.cos(towardsRad),
          };
          for (const [i, { xM, yM }] of points.entries()) {
            expect(Math.hypot(xM - centre.xM, yM - centre.yM)).toBeCloseTo(radiusM, 6);
            const next = points[i + 1] ?? { xM, yM };
            const middle = Math.hypot(
              (xM + next.xM) / 2 - centre.xM,
              (yM + next.yM) / 2 - centre.yM,
            );
            if (points.length < 61) expect(radiusM - middle).toBeLessThan(0.00101);
          }
        },
      ),
    );
  });

  it('is followed round its bend, and seen in its own colour', () => {
    // A quarter of a circle of 0.5 m about (1, 1.5), from heading 0 to 90°.
    const bend = { x1M: 1, y1M: 1, x2M: 1.5, y2M: 1.5, widthM: 0.02, bendRad: deg(90) };
    const table = tableSchema.parse({ ...bareTable, lines: [bend] });
    const robot = withDevice(idealRobot, {
      kind: 'light sensor',
      id: 'l',
      label: 'L',
      place: { aheadM: 0.06 },
      behaviour: { noiseShare: 0 },
    });
    const follow = { id: 'f', kind: 'follow-line', sensor: 'L', lengthM: 0.6, speedMPerS: 0.15 };
    const route = routeOf([follow], { xM: 1, yM: 1.01, headingRad: 0 });
    const simulation = { robot, table, route, seed: 1 };
    const { end } = simulateRun(simulation, prepare(simulation), 0);
    expect(end.failure).toBeNull();
    expect(Math.hypot(end.xM - 1, end.yM - 1.5)).toBeGreaterThan(0.46);
    expect(Math.hypot(end.xM - 1, end.yM - 1.5)).toBeLessThan(0.54);
    expect(end.headingRad).toBeGreaterThan(deg(50));
    const red = tableSchema.parse({ ...bareTable, lines: [{ ...bend, colour: '#ff0000' }] });
    const reads = (on: typeof table) =>
      createMachine(robot, on, { xM: 0.95, yM: 1, headingRad: 0 }, 1, 0).read({
        unitId: 'l',
        channel: 'light',
      });
    expect(reads(red)).toBeGreaterThan((reads(table) ?? 1) + 0.05);
  });
});

describe('an obstacle', () => {
  const box = { x1M: 1.8, y1M: 0.8, x2M: 2, y2M: 1.2, heightM: 0.05 };
  const table = tableSchema.parse({ ...bareTable, obstacles: [box] });
  const drive = (distanceM: number) =>
    routeOf([{ id: 'd', kind: 'straight', distanceM }], { xM: 1, yM: 1, headingRad: 0 });

  it('stops the robot, and the check says so before any run', () => {
    const route = drive(1);
    const simulation = { robot: idealRobot, table, route, seed: 1 };
    const { end } = simulateRun(simulation, prepare(simulation), 0);
    expect(end.failure).toBe('wall');
    expect(end.xM + idealRobot.body.frontM).toBeCloseTo(1.8, 2);
    const check = routeCheck(planRoute(route, idealRobot, table), [], idealRobot, table);
    expect(check.map(({ sentence }) => sentence).join(' ')).toContain('obstacle 1 of the table');
    const away = { ...table, obstacles: [{ ...box, share: 0 }] };
    expect(routeCheck(planRoute(route, idealRobot, away), [], idealRobot, away)).toEqual([]);
  });

  it('is seen by sensors as high as it is, and looked over by higher ones', () => {
    const reads = (heightM: number | null) =>
      createMachine(eye(heightM), table, { xM: 1, yM: 1, headingRad: 0 }, 1, 0).read({
        unitId: 'd',
        channel: 'distance',
      });
    expect(reads(0.04)).toBeCloseTo(0.7, 3);
    expect(reads(null)).toBeCloseTo(0.7, 3);
    expect(reads(0.06) ?? Infinity).toBeGreaterThan(0.8);
  });
});

it('a robot that is not placed within a home area is told so', () => {
  const { frontM, rearM, halfWidthM } = idealRobot.body;
  const home = { x1M: 1 - rearM, y1M: 1 - halfWidthM, x2M: 1 + frontM, y2M: 1 + halfWidthM };
  const table = { ...bareTable, homeAreas: [home] };
  const problems = (xM: number) => {
    const route = routeOf([{ id: 'd', kind: 'straight', distanceM: 0.2 }], {
      xM,
      yM: 1,
      headingRad: 0,
    });
    return routeCheck(planRoute(route, idealRobot, table), [], idealRobot, table).map(
      ({ problem }) => problem,
    );
  };
  expect(problems(1)).toEqual([]);
  expect(problems(1.02)).toEqual(['outside-home']);
});
