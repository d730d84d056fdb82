import { describe, expect, it } from 'vitest';
import { besideForecast } from '../../src/core/compare/besideForecast';
import { consistency } from '../../src/core/runs/consistency';
import { randomStream } from '../../src/core/stats/random';
import { forecast, type Forecast } from '../../src/core/forecast/summary';
import { prepare } from '../../src/core/forecast/prepare';
import { FORECAST_SEED } from '../../src/core/forecast/luck';
import { simulateRun } from '../../src/core/forecast/run';
import { ROUTE_VERSIONS, pipit, winterGarden } from '../../src/server/demo/scenario';
import { origin } from './support';

const route = ROUTE_VERSIONS[2]?.route;
if (route === undefined) throw new Error('no route');
const simulation = { robot: pipit, table: winterGarden, route, seed: FORECAST_SEED };
const runs = Array.from({ length: 40 }, (_, i) => simulateRun(simulation, prepare(simulation), i));
const expected = forecast(simulation, runs);
const range = { rate: 0.8, low: 0.7, high: 0.9 };
const withRange: Forecast = { ...expected, all: range };

const measured = (worked: number, n: number, sdM: number) => {
  const random = randomStream(1, n, 'measured');
  return consistency(
    origin,
    Array.from({ length: n }, (_, i) => ({
      xM: sdM * random.normal(),
      yM: sdM * random.normal(),
      success: i < worked,
    })),
  );
};

describe('a forecast beside what was measured', () => {
  it('is chance where the intervals meet, and says so where they do not', () => {
    const said = (worked: number) => besideForecast(withRange, measured(worked, 30, 0.005))[0];
    expect(said(24)).toMatch(
      /^Expected to work: 80 of 100 .* It did in 24 of 30, .* may be chance\.$/,
    );
    expect(said(3)).toMatch(/less than chance explains/);
    expect(
      besideForecast({ ...expected, all: { ...range, high: 0.5 } }, measured(30, 30, 0.005))[0],
    ).toMatch(/more than chance explains/);
  });

  it('of ends that are no further than expected is no news; further than chance is', () => {
    const said = (sdM: number) => besideForecast(withRange, measured(24, 30, sdM)).at(-1);
    expect(said(0.002)).toMatch(/no more than was to be expected/);
    expect(said(0.2)).toMatch(/further than chance explains/);
  });

  it('says nothing of what was not measured', () => {
    expect(besideForecast({ ...expected, all: null }, measured(0, 0, 1))).toEqual([]);
  });
});
