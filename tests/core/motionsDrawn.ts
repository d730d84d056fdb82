import fc from 'fast-check';
import { rollOutM } from '../../src/core/control/meanStop';
import type { Robot } from '../../src/core/robot/robot';
import { deg, idealRobot, withDevice } from './support';

const light = (label: string, aheadM: number, leftM: number) => ({
  id: label,
  kind: 'light sensor',
  label,
  place: { aheadM, leftM },
  behaviour: { noiseShare: 0 },
});
/** Two light sensors before the wheels and one far out, a bumper, and an eye on either side; nothing scatters. */
export const robot: Robot = [
  light('left', 0.06, 0.04),
  light('right', 0.06, -0.04),
  light('outer', 0.075, 0.09),
  { kind: 'touch sensor', label: 'bumper', place: { aheadM: 0.12 } },
  {
    kind: 'distance sensor',
    label: 'D-ahead',
    place: { aheadM: 0.1 },
    behaviour: { noiseM: 0, lostEchoShare: 0, quantumM: 0, offsetM: 0, scale: 1 },
  },
  ...[1, -1].map((side) => ({
    kind: 'distance sensor',
    label: side > 0 ? 'D-left' : 'D-right',
    place: { leftM: 0.05 * side },
    facingRad: (side * Math.PI) / 2,
    behaviour: { noiseM: 0, lostEchoShare: 0 },
  })),
].reduce((one, unit) => withDevice(one, unit), idealRobot);
export const lagging: Robot = { ...robot, motors: { ...robot.motors, lagS: 0.05 } };

const speed = fc.integer({ min: 8, max: 30 }).map((cm) => cm / 100);
/** What turns ends on a tick of the loop, by a heading that is read so often. */
const GYRO_PERIOD_S = 0.01;
export const perLoop = (
  { radiusM, speedMPerS = 0, rateRadPerS = 0 }: Motion,
  { loopPeriodS }: Robot,
): number =>
  (radiusM === undefined ? 0 : (speedMPerS / radiusM) * loopPeriodS) +
  rateRadPerS * (loopPeriodS + GYRO_PERIOD_S);

/** Half of what it drives between two looks of the sensor that ends it: the plan has the mean of that. */
export const perLook = ({ kind, speedMPerS = 0 }: Motion): number =>
  (speedMPerS * ({ approach: 0.03, 'to-line': 0.01 }[kind] ?? 0)) / 2;
/** A turn that stops early does so by what its motors and its loop are late. */
export function asLate(step: Motion, { motors, loopPeriodS, trackM }: Robot): Motion {
  if (step.leadRad === undefined) return step;
  const { rateRadPerS = 0, about } = step;
  const leverM = about === 'centre' ? trackM / 2 : trackM;
  const rollsOnRad = rollOutM(motors, rateRadPerS * leverM) / leverM;
  return { ...step, leadRad: (rateRadPerS * loopPeriodS) / 2 + rollsOnRad };
}

/** And by so much its middle lies elsewhere after a turn about a wheel. */
export const aboutWheel = (step: Motion, by: Robot): number =>
  step.about === undefined || step.about === 'centre' ? 0 : (by.trackM / 2) * perLoop(step, by);

export interface Motion {
  kind: string;
  radiusM?: number;
  speedMPerS?: number;
  rateRadPerS?: number;
  leadRad?: number;
  about?: string;
  times?: number;
}
export const MOTIONS: Record<string, fc.Arbitrary<Motion>> = {
  arc: fc.record({
    kind: fc.constant('arc'),
    radiusM: fc.integer({ min: 8, max: 50 }).map((cm) => cm / 100),
    angleRad: fc.integer({ min: -170, max: 170 }).map(deg),
    back: fc.boolean(),
    speedMPerS: speed,
  }),
  timed: fc.record({
    kind: fc.constant('timed'),
    seconds: fc.integer({ min: 3, max: 15 }).map((tenths) => tenths / 10),
    leftShare: fc.integer({ min: -60, max: 60 }).map((n) => n / 100),
    rightShare: fc.integer({ min: -60, max: 60 }).map((n) => n / 100),
  }),
  'square on a line': fc.record({
    kind: fc.constant('square-on-line'),
    left: fc.constant('left'),
    right: fc.constant('right'),
    speedMPerS: speed,
    secondMPerS: fc.option(fc.constant(0.05), { nil: undefined }),
  }),
  touch: fc.record({
    kind: fc.constant('touch'),
    sensor: fc.constantFrom('bumper', 'stall'),
    speedMPerS: speed,
  }),
  'turn about a wheel': fc.record({
    kind: fc.constant('turn'),
    mode: fc.constant('by'),
    angleRad: fc.integer({ min: 20, max: 170 }).chain((n) => fc.constantFrom(deg(n), deg(-n))),
    about: fc.constantFrom('left-wheel', 'right-wheel', 'centre'),
    strategy: fc.constant('encoder'),
    slowRateRadPerS: fc.constant(0.1),
  }),
  'drive without heading hold': fc.record({
    kind: fc.constant('straight'),
    distanceM: fc.integer({ min: -60, max: 60 }).map((cm) => cm / 100),
    strategy: fc.constantFrom('encoder-balance', 'open-loop', 'heading-hold'),
    holds: fc.constantFrom('planned', 'as-it-stands'),
    speedMPerS: speed,
  }),
  // Long enough to come to its rate, and down from it.
  'turn that stops early': fc.record({
    kind: fc.constant('turn'),
    mode: fc.constantFrom('by', 'to'),
    angleRad: fc.integer({ min: 70, max: 150 }).chain((n) => fc.constantFrom(deg(n), deg(-n))),
    about: fc.constantFrom('left-wheel', 'right-wheel', 'centre'),
    rateRadPerS: fc.constantFrom(deg(40), deg(90), deg(150)),
    leadRad: fc.constant(0),
  }),
  approach: fc.record({
    kind: fc.constant('approach'),
    sensor: fc.constant('D-ahead'),
    thresholdM: fc.integer({ min: 80, max: 190 }).map((cm) => cm / 100),
    speedMPerS: speed,
  }),
  'to a line': fc.record({
    kind: fc.constant('to-line'),
    sensor: fc.constantFrom('left', 'right', 'outer'),
    on: fc.constantFrom('entering', 'leaving'),
    speedMPerS: speed,
  }),
  'square up': fc.record({
    kind: fc.constant('square-up'),
    back: fc.boolean(),
    speedMPerS: fc.constantFrom(0.15, 0.25),
    pressS: fc.constantFrom(0.8, 1.2),
  }),
  repeat: fc.record({
    kind: fc.constant('repeat'),
    times: fc.integer({ min: 1, max: 4 }),
    steps: fc
      .integer({ min: 5, max: 20 })
      .map((cm) => [{ id: 'in', kind: 'straight', distanceM: cm / 100, speedMPerS: 0.2 }]),
  }),
  'set heading': fc.record({ kind: fc.constant('set-heading'), headingRad: fc.constant(0.1) }),
};
