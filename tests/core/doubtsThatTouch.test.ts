import { expect, it } from 'vitest';
import type { SpeedCalibration } from '../../src/core/calibrationValues/speed';
import type { CalibrationValue } from '../../src/core/calibration/calibration';
import { fittedRobot } from '../../src/core/calibration/fittedRobot';
import { planRoute } from '../../src/core/course/plan';
import type { Robot } from '../../src/core/robot/robot';
import { doubtsOf, doubtsThatTouch, SOURCES } from '../../src/core/sources/sources';
import { simulateAll } from '../../src/core/forecast/simulateAll';
import { mean, sampleSd } from '../../src/core/stats/moments';
import { bareTable, idealRobot, routeOf, withDevice } from './support';

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
  const light = 'light of the room';
  const lines = 'overrun of lines';
  const missions = ['push of missions', 'turning by missions'];
  expect(left([drive])).toEqual(
    new Set([...distance, wall, charge, light, lines, ...back, ...scatters, ...missions]),
  );
  expect(left([untilDark(0.3)])).not.toContain(light);
  expect(left([untilDark(0.3)], withLight)).toContain(lines);
  expect(left([{ kind: 'to-line' }], withLight)).not.toContain(lines);
  expect(left([drive, approach])).toEqual(
    new Set([wall, charge, light, lines, ...back, ...scatters, ...missions]),
  );
  expect(left([drive, { ...drive, distanceM: -0.2 }])).not.toContain('play at a reversal');
  // What a mission does to the robot is doubtful until somebody has told it; in passing it does nothing.
  const mark = { kind: 'mark', missionId: 'sundial', dwellS: 1 };
  const unasked = (step: object) => missions.filter((name) => left([drive, step]).has(name));
  expect(unasked(mark)).toEqual([]);
  expect(unasked({ ...mark, pushM: -0.002 })).toEqual(missions);
  expect(unasked({ ...mark, passing: true })).toEqual(missions);
  expect(left([squareUp])).toEqual(
    new Set([
      'coast of drives',
      ...distance,
      charge,
      light,
      lines,
      ...back,
      ...scatters,
      ...missions,
    ]),
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

const START = { xM: 1, yM: 1, headingRad: 0 };
const withLight = withDevice(idealRobot, {
  kind: 'light sensor',
  place: { aheadM: 0.05 },
  behaviour: { noiseShare: 0 },
});
/** It stands on a line, which reads 12 % at home: does it see that? */
const table = {
  ...bareTable,
  lines: [{ x1M: 1.05, y1M: 0.5, x2M: 1.05, y2M: 1.5, widthM: 0.05 }],
};
const untilDark = (value: number) => ({
  kind: 'wait',
  until: 'reading',
  sensor: 'light sensor',
  passes: 'below',
  value,
  timeS: 1,
});
it('where a line was driven over and measured, the plan and runs stop there; nobody did: within 3 mm or so', () => {
  const ends = (values: CalibrationValue[], drives: 'forwards' | 'backwards' = 'forwards') => {
    const { robot } = fittedRobot(withLight, values);
    const back = drives === 'backwards';
    const start = { xM: back ? 2 : 0.6, yM: 1, headingRad: 0 };
    const route = routeOf([{ kind: 'to-line', speedMPerS: 0.2, back }], start);
    const doubts = doubtsOf(values).filter(({ name }) => name === 'overrun of lines');
    const simulation = { robot, table, route, seed: 4, doubts };
    const all = simulateAll(simulation, 200);
    if ('sentence' in all) throw new Error(all.sentence);
    const past = (xM: number) => (back ? 1.075 - (xM + 0.05) : xM + 0.05 - 1.025);
    const overs = all.runs.map(({ end }) => past(end.xM));
    const planned = past(planRoute(route, robot, table)[0]?.to.xM ?? Number.NaN);
    return { planned, mean: mean(overs), sd: sampleSd(overs) };
  };
  const foreseen = ends([]);
  expect(foreseen.sd).toBeGreaterThan(0.0024);
  expect(foreseen.sd).toBeLessThan(0.0038);
  for (const drives of ['forwards', 'backwards'] as const) {
    const overruns = [
      { drives, on: 'entering' as const, overM: 0.021, overSeM: 0.0004, sdM: 0.001, n: 8 },
    ];
    const crossed = { kind: 'line-crossing' as const, by: 'brightness' as const, speedMPerS: 0.2 };
    const measured = { ...crossed, delayS: null, passes: 8, wrong: 0, overruns };
    const known = ends([measured], drives);
    expect(known.planned).toBeCloseTo(0.021, 4);
    expect(Math.abs(known.mean - 0.021)).toBeLessThan(0.0012);
    expect(known.sd).toBeLessThan(foreseen.sd);
  }
});

const roomsOnly = doubtsOf([]).filter(({ name }) => name === 'light of the room');

/** In which share of other rooms the wait ends by what it reads. */
const seenIn = (value: number): number => {
  const route = routeOf([untilDark(value)], START);
  const simulation = { robot: withLight, table, route, seed: 2, doubts: roomsOnly };
  const all = simulateAll(simulation, 400);
  if ('sentence' in all) throw new Error(all.sentence);
  return all.runs.filter(({ end }) => end.timeS < 0.8).length / all.runs.length;
};

it('another room’s light decides where a threshold is close, and not where it lies in the middle', () => {
  expect(seenIn(0.36)).toBe(1);
  // As dark as at home, or darker: in half of the rooms.
  expect(Math.abs(seenIn(0.12) - 0.5)).toBeLessThan(0.15);
  expect(seenIn(0.06)).toBe(0);
});
