import { expect, it } from 'vitest';
import type { SpeedCalibration } from '../../src/core/calibration/kinds/speed/schema';
import { fittedRobot } from '../../src/core/calibration/fittedRobot';
import type { Robot } from '../../src/core/robot';
import { doubtsOf, doubtsThatTouch, SOURCES } from '../../src/core/sources/sources';
import { idealRobot, routeOf } from './support';

const drive = { kind: 'straight', distanceM: 0.4 };
const approach = { kind: 'approach', thresholdM: 0.2 };
const squareUp = { kind: 'square-up' };
const timed: SpeedCalibration = {
  kind: 'speed',
  gainMPerSPerV: 0.08,
  deadBand: 0.06,
  residualShare: 0.01,
  batteryV: 8,
  lowestCommand: 0.1,
  highestCommand: 1,
};
/** What a route on a robot is never asked to have measured first. */
const left = (steps: unknown[], robot: Robot = idealRobot) => {
  const touched = doubtsThatTouch(doubtsOf([]), routeOf(steps), robot).map(({ name }) => name);
  return new Set(SOURCES.map(({ name }) => name).filter((name) => !touched.includes(name)));
};

it('nobody is asked to measure what changes nothing about the route', () => {
  const distance = [
    'offset of the distance sensor',
    'scale of the distance sensor',
    'stops by distance',
  ];
  // Scatters that nobody measured are the robot’s own physics.
  const scatters = ['scatter of drives', 'scatter of turns'];
  // It never goes back, and has no caster.
  const back = ['play at a reversal', 'kick of the caster'];
  const wall = 'heading after a wall';
  const charge = 'charge of the battery';
  expect(left([drive])).toEqual(new Set([...distance, wall, charge, ...back, ...scatters]));
  expect(left([drive, approach])).toEqual(new Set([wall, charge, ...back, ...scatters]));
  expect(left([drive, { ...drive, distanceM: -0.2 }])).not.toContain('play at a reversal');
  expect(left([squareUp])).toEqual(
    new Set(['coast of drives', ...distance, charge, ...back, ...scatters]),
  );
});

it('the battery matters to a robot that is driven by power, and was timed', () => {
  const percent: Robot = {
    ...idealRobot,
    program: { ...idealRobot.program, command: 'percent' },
  };
  expect(left([drive], percent)).toContain('charge of the battery');
  expect(left([drive], fittedRobot(percent, [timed]).robot)).not.toContain('charge of the battery');
  expect(left([drive], fittedRobot(idealRobot, [timed]).robot)).toContain('charge of the battery');
});
