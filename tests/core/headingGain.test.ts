import { describe, expect, it } from 'vitest';
import { withHeadingGain } from '../../src/core/calibration/applyHeadingGain';
import { calibrationValueSchema } from '../../src/core/calibration/calibration';
import { describeCalibration } from '../../src/core/calibration/registry';
import { fittedRobot } from '../../src/core/calibration/fittedRobot';
import { calibrationFromGain } from '../../src/core/calibration/fromGain';
import { holdsBetween } from '../../src/core/tuning/atSpeeds';
import { dampingStudy } from '../../src/core/tuning/damping';
import { delayOf } from '../../src/core/tuning/delay';
import { gainsToType } from '../../src/core/tuning/gainsToType';
import { pipit } from '../../src/server/demo/scenario';
import { newStep } from '../../src/core/steps/newStep';
import { gainStudy, type GainTrial } from '../../src/core/tuning/gainStudy';
import { idealRobot, routeOf } from './support';

const drive = (gainMPerSPerRad: number) => ({ kind: 'straight', distanceM: 0.4, gainMPerSPerRad });
const tuned = fittedRobot(idealRobot, [
  calibrationValueSchema.parse({ kind: 'heading-hold', gainMPerSPerRad: 2.4, looks: 3 }),
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

it('nothing is taken over while nobody has tuned it, or it is not good yet', () => {
  const route = routeOf([drive(1.2)]);
  expect(withHeadingGain(route, idealRobot)).toEqual({ route, changed: 0 });
  const looks = (...seen: GainTrial['seen'][]) =>
    seen.map((one): GainTrial => ({ gain: 2.4, seen: one, proposedGainFactor: null }));
  const value = (controller: 'heading-hold' | 'wall', trials: GainTrial[]) => {
    const study = gainStudy(controller, trials);
    return (
      study && calibrationFromGain(study, trials, { controller, robot: idealRobot, speed: 0.2 })
    );
  };
  expect(value('heading-hold', looks('good', 'good', 'good'))).toMatchObject({
    kind: 'heading-hold',
    gainMPerSPerRad: expect.closeTo(2.4, 9) as number,
    looks: 3,
    speed: 0.2,
  });
  expect(value('heading-hold', looks('too jerky'))).toBeNull();
});

describe('a gain that no step uses', () => {
  const beside = {
    ...pipit,
    units: pipit.units.map((unit) =>
      unit.kind === 'distance sensor'
        ? { ...unit, facingRad: Math.PI / 2, place: { ...unit.place, aheadM: 0.06, leftM: 0.05 } }
        : unit,
    ),
  };
  const good: GainTrial = { gain: 12, seen: 'good', proposedGainFactor: null };
  const study = gainStudy('wall', [good, good, good]);
  const tried = { controller: 'wall', robot: beside, speed: 0.12 } as const;
  const held = { slowest: 0.06, fastest: 0.2 };
  const damped = dampingStudy('wall', 12, 0.08, [{ damping: 0.9, integral: 0, seen: 'settles' }]);
  const value =
    study &&
    calibrationFromGain(study, [good, good, good], { ...tried, holds: held, damping: damped });

  it('is kept with where its sensor sits, how late it is, how fast it drove and its damping', () => {
    const { lagS } = beside.motors;
    expect(value).toMatchObject({ kind: 'wall-gain', aheadM: 0.06, ...held, damping: 0.9 });
    expect(value).toHaveProperty('delayS', delayOf(beside, 'wall'));
    expect(delayOf(beside, 'wall')).toBeGreaterThan(lagS + beside.loopPeriodS);
    expect(value && describeCalibration(value).replaceAll('\u00a0', ' ')).toMatch(
      /^6.88 °\/s per cm, damping 0.516 °\/s per cm\/s, at 12 cm\/s \(on the simulator good from 6 cm\/s to 20 cm\/s\), its sensor 6 cm ahead of the axle, \d+ ms late, found good by 3 looks$/,
    );
  });

  it('is typed into programs, in their own command, and changes no drive of a route', () => {
    const fitted = fittedRobot(beside, value === null ? [] : [value]).robot;
    expect(gainsToType(beside)).toBeNull();
    expect(gainsToType(fitted)).toContain('along a wall');
    const inDegrees = {
      ...fitted,
      program: { ...fitted.program, command: 'mm per second' },
    } as const;
    // A kit that turns at °/s is told just that: 12 rad/s per m are 6.88 °/s per cm.
    expect(gainsToType(inDegrees)?.replaceAll('\u00a0', ' ')).toBe(
      'Gains that were tuned: along a wall 6.88 °/s per cm (6.88 °/s per cm).',
    );
    const route = routeOf([drive(1.2)]);
    expect(withHeadingGain(route, fitted).changed).toBe(0);
  });
});

describe('the speeds at which a gain holds', () => {
  const at = (speed: number, from: number, to: number) => ({
    speed,
    said: '',
    good: { from, to, middle: Math.sqrt(from * to) },
  });
  const speeds = [at(0.06, 1, 20), at(0.12, 2, 14), at(0.2, 5, 9), at(0.3, 2, 14)];

  it('reach from the one at which it was tried as far as it stays good, either way', () => {
    expect(holdsBetween(speeds, 12, 0.12)).toEqual({ slowest: 0.06, fastest: 0.12 });
    expect(holdsBetween(speeds, -6, 0.12), 'whichever its sign').toEqual({
      slowest: 0.06,
      fastest: 0.3,
    });
    expect(holdsBetween(speeds, 30, 0.12)).toBeNull();
  });
});
