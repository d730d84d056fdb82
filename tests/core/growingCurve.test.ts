import fc from 'fast-check';
import { expect, it } from 'vitest';
import { GrowingCurve } from '../../src/core/chart/growingCurve';
import type { Reading } from '../../src/formats/readings';
import { fromItsStart } from '../../src/formats/toLog';
import { logOf } from '../../src/stations/bench/logs/sources';
import { HeadingSoFar } from '../../src/stations/bench/still/headingSoFar';

const MOST = 40;

it('a curve that grows keeps its ends and extremes, in order, with few points', () => {
  const values = fc.array(fc.double({ min: -1e3, max: 1e3, noNaN: true }), {
    minLength: 1,
    maxLength: 2000,
  });
  fc.assert(
    fc.property(values, (ys) => {
      const curve = new GrowingCurve(MOST);
      for (const [x, y] of ys.entries()) curve.add({ x, y });
      const points = curve.points();
      expect(points.length).toBeLessThanOrEqual(MOST + 4);
      expect(points.map(({ x }) => x)).toEqual(points.map(({ x }) => x).toSorted((a, b) => a - b));
      expect(points.every(({ x, y }) => ys[x] === y)).toBe(true);
      expect([points[0]?.x, points.at(-1)?.x]).toEqual([0, ys.length - 1]);
      const shown = points.map(({ y }) => y);
      expect([Math.min(...shown), Math.max(...shown)]).toEqual([Math.min(...ys), Math.max(...ys)]);
    }),
  );
});

it('the heading that is shown while it is read is the one that the log says afterwards', () => {
  const raw = {
    signs: { heading: -1, leftMotor: 1, rightMotor: 1 },
    encodersRollOver: false,
  } as const;
  const readings = Array.from({ length: 300 }, (_, i): Reading => ({
    t_s: 5 + 0.02 * i,
    left_deg: 0,
    // Through the wrap of a sensor that counts from 0 to 360, with an echo that is lost now and then.
    heading_deg: i % 50 === 49 ? null : (((350 + 0.2 * i) % 360) + 360) % 360,
  }));
  const soFar = new HeadingSoFar(raw);
  soFar.pointsOf(readings.slice(0, 120));
  const { tS, columns } = fromItsStart(logOf(readings, raw));
  const from = columns.headingRad?.[0] ?? 0;
  const said = new Map(
    [...tS].map((t, i) => [
      t.toFixed(6),
      ((columns.headingRad?.[i] ?? 0) - from) * (180 / Math.PI),
    ]),
  );
  const points = soFar.pointsOf(readings);
  expect(points.length).toBe(294);
  for (const { x, y } of points) expect(y).toBeCloseTo(said.get(x.toFixed(6)) ?? Number.NaN, 9);
});
