import { expect, it } from 'vitest';
import { isMissionList } from '../../src/core/course/missionList';
import { routeSchema } from '../../src/core/course/route';

const routeOf = (steps: unknown[]) =>
  routeSchema.parse({ start: { xM: 0, yM: 0, headingRad: 0 }, steps });
const mark = { id: 'm1', kind: 'mark', missionId: 'pond-gate' };

it('a route that only works missions plans no way, and one that drives or turns does', () => {
  expect(isMissionList(routeOf([]))).toBe(true);
  expect(isMissionList(routeOf([mark, { ...mark, id: 'm2' }]))).toBe(true);
  const drive = { id: 's1', kind: 'straight', distanceM: 0.3, speedMPerS: 0.2 };
  expect(isMissionList(routeOf([mark, drive]))).toBe(false);
  const turn = { id: 's2', kind: 'turn', angleRad: 1, rateRadPerS: 1, leadRad: 0 };
  expect(isMissionList(routeOf([turn]))).toBe(false);
});
