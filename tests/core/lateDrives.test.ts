import { describe, expect, it } from 'vitest';
import { prepare } from '../../src/core/forecast/prepare';
import { simulateRun } from '../../src/core/forecast/run';
import { mean, sampleSd } from '../../src/core/stats/moments';
import { bareTable, idealRobot, routeOf } from './support';

const SLIPS = { ...idealRobot, errors: { ...idealRobot.errors, slipMPerSqrtM: 0.002 } };
const SCATTER_M = 0.003;
const measured = {
  ...SLIPS,
  measured: { ...SLIPS.measured, straight: { scatterM: SCATTER_M } },
};

const drives = (distanceM: number, n: number) => {
  const start = { xM: 1, yM: 1, headingRad: 0 };
  const route = routeOf([{ kind: 'straight', distanceM, speedMPerS: 0.3 }], start);
  const simulation = { robot: measured, route, table: bareTable, seed: 12 };
  const prepared = prepare(simulation);
  return Array.from(
    { length: n },
    (_, i) => simulateRun(simulation, prepared, i).end.xM - start.xM - distanceM,
  );
};

describe('drives that were measured', () => {
  it.each([0.5, 0.85, 1.5])('get as far on average as they were measured to, %d m', (distanceM) => {
    // One standard error is 3 mm / √1600: what the simulated robot does by itself is taken out without a chance of its own.
    const off = drives(distanceM, 1600);
    expect(Math.abs(mean(off))).toBeLessThan(0.00023);
    expect(sampleSd(off)).toBeGreaterThan(0.94 * SCATTER_M);
    expect(sampleSd(off)).toBeLessThan(1.06 * SCATTER_M);
  });
});
