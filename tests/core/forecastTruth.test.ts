import { describe, expect, it } from 'vitest';
import { catalog } from '../../src/core/procedures/catalog';
import { forecastCoverage } from '../../scripts/lib/forecastCoverage';
import { meanRange } from '../../src/core/forecast/meanRange';
import { generator, normal } from '../support/eulerRobot';

/** The whole table stands in docs/methods.md, and is made by ./corvat coverage. */
describe('a forecast, judged by another simulator', () => {
  it.each(['nothing', 'all'] as const)(
    'with %s measured holds where robots end',
    (how) => {
      const robots = 14;
      const found = forecastCoverage(how, 'two turns, then the mission', robots, 5, 120);
      // Of fourteen at least eleven: 95 of 100 robots are held.
      for (const of of ['xM', 'yM', 'headingRad', 'chance'] as const) {
        expect(found[of] * robots, of).toBeGreaterThan(10.5);
      }
    },
    120_000,
  );

  it('is no wider for what was measured', () => {
    const [nothing, all] = (['nothing', 'all'] as const).map(
      (how) => forecastCoverage(how, 'two turns, then the mission', 2, 9, 80).widths,
    );
    all?.forEach((width, i) => expect(width).toBeLessThan(1.05 * (nothing?.[i] ?? 0)));
  }, 60_000);

  it('names what it was asked in the frame of the table, and the program that it is for', () => {
    const forecast = catalog.find(({ name }) => name === 'forecast');
    const straight = { kind: 'straight', distanceM: 0.5 };
    const answer = forecast?.run({
      robot: { wheelDiameterM: 0.056, trackM: 0.13, units: [] },
      table: { widthM: 2, heightM: 1 },
      route: { start: { xM: 0.3, yM: 0.5, headingRad: 0 }, steps: [straight] },
      bench: {
        straights: {
          trials: [0.3, 0.6, 1.2, 0.3, 0.6, 1.2].map((commandedM, i) => ({
            commandedM,
            actualM: 0.98 * commandedM + 0.004 + (i % 2 === 0 ? 0.001 : -0.001),
            speedMPerS: 0.3,
          })),
        },
      },
      runs: 40,
    }) as { program: Record<string, number>; end: { xM: { mean: number } }; chance: unknown[] };
    expect(answer.program.wheelDiameterM).toBeCloseTo(0.98 * 0.056, 4);
    expect(answer.program.coastM).toBeCloseTo(0.004, 2);
    expect(answer.program.headingScale).toBe(1);
    expect(Math.abs(answer.end.xM.mean)).toBeLessThan(0.004);
    expect(answer.chance).toEqual([]);
  });
});

describe('the mean of one robot’s runs', () => {
  it('is told apart from how single runs scatter', () => {
    let held = 0;
    for (let i = 0; i < 60; i += 1) {
      const random = generator(i + 1);
      const own = 3 * normal(random);
      const values = Array.from({ length: 60 }, () => 3 * normal(random)).flatMap((robot) =>
        [0, 1, 2, 3].map(() => robot + 2 * normal(random)),
      );
      const range = meanRange(values, 4);
      expect(range?.sdWithin).toBeGreaterThan(1.6);
      expect(range?.sdWithin).toBeLessThan(2.4);
      if (range !== null && own >= range.low95 && own <= range.high95) held += 1;
    }
    expect(held).toBeGreaterThan(52);
    expect(meanRange([1, 2], 4)).toBeNull();
  });
});
