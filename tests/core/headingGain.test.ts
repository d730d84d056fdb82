import { expect, it } from 'vitest';
import { withHeadingGain } from '../../src/core/calibration/applyHeadingGain';
import { fittedRobot } from '../../src/core/calibration/fittedRobot';
import { calibrationFromGain } from '../../src/core/calibration/fromGain';
import { newStep } from '../../src/core/steps/newStep';
import { gainStudy, type GainTrial } from '../../src/core/tuning/gainStudy';
import { idealRobot, routeOf } from './support';

const drive = (gainMPerSPerRad: number) => ({ kind: 'straight', distanceM: 0.4, gainMPerSPerRad });
const tuned = fittedRobot(idealRobot, [
  { kind: 'heading-hold', gainMPerSPerRad: 2.4, looks: 3 },
]).robot;

it('a tuned gain is taken over by the drives of a route that have another one, and by new ones', () => {
  const route = routeOf([drive(1.2), { kind: 'turn', angleRad: 1 }, drive(2.405), drive(3)]);
  const { route: changed, changed: drives } = withHeadingGain(route, tuned);
  expect(drives).toBe(2);
  expect(changed.steps).toMatchObject([
    { gainMPerSPerRad: 2.4 },
    { kind: 'turn' },
    { gainMPerSPerRad: 2.405 },
    { gainMPerSPerRad: 2.4 },
  ]);
  expect(withHeadingGain(changed, tuned).changed).toBe(0);
  const place = { headingRad: 0, missionId: '', turns: null, robot: tuned };
  expect(newStep('straight', 'a', place)).toMatchObject({ gainMPerSPerRad: 2.4 });
  expect(newStep('approach', 'a', { ...place, robot: idealRobot })).toMatchObject({
    gainMPerSPerRad: 1.2,
  });
});

it('nothing is taken over while nobody has tuned it, it is not good yet, or no step uses it', () => {
  const route = routeOf([drive(1.2)]);
  expect(withHeadingGain(route, idealRobot)).toEqual({ route, changed: 0 });
  const looks = (...seen: GainTrial['seen'][]) =>
    seen.map((one): GainTrial => ({ gain: 2.4, seen: one, proposedGainFactor: null }));
  const value = (controller: 'heading-hold' | 'wall', trials: GainTrial[]) => {
    const study = gainStudy(controller, trials);
    return study && calibrationFromGain(controller, study, trials);
  };
  expect(value('heading-hold', looks('good', 'good', 'good'))).toEqual({
    kind: 'heading-hold',
    gainMPerSPerRad: expect.closeTo(2.4, 9) as number,
    looks: 3,
  });
  expect(value('heading-hold', looks('too jerky'))).toBeNull();
  expect(value('wall', looks('good', 'good', 'good'))).toBeNull();
});
