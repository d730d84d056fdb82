import { expect, it } from 'vitest';
import { bestForPlaces, placeSentence, rangePlaces } from '../../src/core/ranging/bestForPlaces';
import { rangeCalibration } from '../../src/core/ranging/rangeCalibration';
import { rangeStudy } from '../../src/core/ranging/rangeStudy';
import { routeOf } from './support';

/** Readings without scatter to speak of: reading = offset + scale · true. */
const bench = (unit: string, offsetM: number, scale: number) =>
  [0.05, 0.1, 0.3, 0.8, 1.2].flatMap((trueM) =>
    [-1, 1, -1, 1].map((sign) => ({
      unit,
      trueM,
      readingM: offsetM + scale * trueM + sign * 0.0005,
    })),
  );
const units =
  rangeCalibration([...bench('D1', 0.01, 0.99), ...bench('D2', 0.001, 1.03)], 0.005)?.units ?? [];
const routes = [
  {
    name: 'Pond and back',
    route: routeOf([
      { kind: 'straight', distanceM: 0.5 },
      { kind: 'approach', thresholdM: 0.1 },
      { kind: 'approach', thresholdM: 1 },
      { kind: 'approach', thresholdM: 0.1 },
    ]),
  },
];

it('each place of the routes gets the unit whose readings are off least there', () => {
  const places = rangePlaces(routes);
  expect(places).toEqual([
    { route: 'Pond and back', step: '2', distanceM: 0.1 },
    { route: 'Pond and back', step: '3', distanceM: 1 },
  ]);
  const best = bestForPlaces(units, places);
  // D1 is 10 mm long at 0 and right at 1 m; D2 the other way round.
  expect(best.map(({ units: [first] }) => first?.unit)).toEqual(['D2', 'D1']);
  expect(best[0] && placeSentence(best[0])).toMatch(
    /^D2 for step 2 of “Pond and back”, at 10 cm: off by [34](\.\d)? mm there ± 0\.\d mm, D1 by 9(\.\d)? mm\.$/,
  );
});

it('a unit that reads in proportion too far may sit askew on its mount, and that is said', () => {
  const means = (scale: number) =>
    rangeStudy(bench('D1', 0, scale), 'D1', 0.01)?.sentences?.means ?? '';
  // 1 / cos 14° = 1.03
  expect(means(1.0306)).toMatch(/looks 14° aside, up or down: look how it sits on its mount/);
  expect(means(1.0005)).not.toContain('mount');
  expect(means(0.97)).not.toContain('mount');
});

it('a unit that was measured at such distances goes before one that was not, and one unit is no choice', () => {
  const [near] = bestForPlaces(units, [{ route: 'R', step: '1', distanceM: 2 }]);
  expect(near?.units.every(({ isMeasured }) => !isMeasured)).toBe(true);
  expect(near && placeSentence(near)).toContain('farther than it was measured');
  const [only] = bestForPlaces(units.slice(0, 1), rangePlaces(routes));
  expect(only && placeSentence(only)).toBeNull();
});
