import { expect, it } from 'vitest';
import type { TurnsCalibration } from '../../src/core/calibrationValues/turns';
import type { Robot } from '../../src/core/robot/robot';
import { prepare } from '../../src/core/forecast/prepare';
import { simulateRun } from '../../src/core/forecast/run';
import { expectedReading } from '../../src/core/sensing/expected';
import { doubtsOf, ERRORS, type ErrorTimes } from '../../src/core/sources/sources';
import { sampleSd } from '../../src/core/stats/moments';
import { READ_BY_STEPS } from '../../src/core/devices/channels';
import { kindOf } from '../../src/core/devices/registry';
import { pipit, winterGarden } from '../../src/server/demo/scenario';
import { deg, routeOf, withDevice } from './support';

const RUNS = 24;
const turn = (degrees: number) => ({ kind: 'turn', mode: 'by', angleRad: deg(degrees) });
const drive = (distanceM: number) => ({ kind: 'straight', distanceM });
/** Ways to move that leave in sight what each error does: drives and turns, a stop by a distance, a press on the wall, a line, a mission. */
const ROUTES = [
  [drive(0.6), drive(-0.2), turn(90), drive(0.3), turn(-90), drive(0.3)],
  [{ ...drive(0.8), speedMPerS: 0.62 }],
  [{ kind: 'approach', thresholdM: 0.5, speedMPerS: 0.3 }],
  [{ kind: 'square-up', back: true, speedMPerS: 0.2, pressS: 1 }, drive(0.5)],
  [{ kind: 'to-line', speedMPerS: 0.2 }],
  [
    { kind: 'mark', missionId: 'sundial', dwellS: 0.1 },
    { ...drive(0.3), holds: 'as-it-stands' },
  ],
];

const turns: TurnsCalibration = {
  kind: 'turns',
  groups: [
    {
      direction: 'both',
      rateRadPerS: 1.6,
      rates: [1.6],
      kind: 'spin',
      constantRad: 0.09,
      scaleError: 0,
      residualSdRad: deg(3),
      n: 8,
    },
  ],
  lagS: null,
  brakingRadPerS2: null,
};

/** What scatters under a robot and can be waited for: a step that waits until its noise lifts it over what it reads. */
const START = { xM: 0.4, yM: 0.4, headingRad: 0 };
const onFloor = READ_BY_STEPS.filter(({ kind }) => !kindOf(kind).faces && kindOf(kind).noise);
const seeing = onFloor.reduce((robot, { kind }) => withDevice(robot, { kind }), pipit);
const waits = onFloor.flatMap(({ name, kind, channel }) =>
  seeing.units
    .filter((unit) => unit.kind === kind)
    .slice(0, 1)
    .map((unit) => ({
      kind: 'wait',
      until: 'reading',
      sensor: name,
      passes: 'above',
      value: 0.001 + (expectedReading(unit, channel.name, START, winterGarden) ?? 0),
      timeS: 1,
    })),
);

/** A robot of which everything was measured that scatters from one use to the next. */
const robot: Robot = {
  ...seeing,
  build: { ...pipit.build, trailingCaster: true },
  program: { ...pipit.program, command: 'percent' },
  measured: {
    ...pipit.measured,
    straight: { scatterM: 0.03 },
    stop: { lagS: 0.1, brakingMPerS2: null, residualSdM: 0.03 },
    squaring: { headingSdRad: 0.05, straightensPerM: null, speedMPerS: 0.2, pressS: 1 },
    reversal: { playM: 0.001, kickSdRad: 0.02 },
    power: { gainMPerSPerV: 0.08, deadBand: 0.05, batteryV: 8, nowV: 8 },
  },
};

/** How far runs differ, in place, heading and time, over all the routes. */
function spread(times: ErrorTimes): number {
  const doubts = doubtsOf([]);
  const lines = [{ x1M: 1.2, y1M: 0, x2M: 1.2, y2M: 1.1, widthM: 0.02 }];
  const table = { ...winterGarden, walls: [], lines };
  const sds = [...ROUTES, ...waits.map((step) => [step])].flatMap((steps) => {
    const route = {
      ...routeOf(steps, START),
      placement: { alongSdM: 0.004, acrossSdM: 0.004, headingSdRad: 0.01 },
    };
    const all = { robot, table, route, seed: 11, turns, doubts, times };
    const prepared = prepare(all);
    const ends = Array.from({ length: RUNS }, (_, i) => simulateRun(all, prepared, i).end);
    return [
      sampleSd(ends.map(({ xM }) => xM)),
      sampleSd(ends.map(({ yM }) => yM)),
      0.1 * sampleSd(ends.map(({ headingRad }) => headingRad)),
      0.1 * sampleSd(ends.map(({ timeS }) => timeS)),
    ];
  });
  return Math.hypot(...sds);
}

const off = Object.fromEntries(ERRORS.map(({ name }) => [name, 0]));

it('with all errors switched off all runs are one run', () => {
  expect(spread(off)).toBeLessThan(1e-9);
  expect(spread({})).toBeGreaterThan(0.02);
});

it.each(ERRORS.map(({ name }) => name))('%s alone makes runs differ, ever more', (name) => {
  const [one, four] = [1, 4].map((times) => spread({ ...off, [name]: times }));
  expect(one).toBeGreaterThan(1e-6);
  // A noise that is waited for ends the wait the sooner.
  const isWaitedFor = name.includes('light') || onFloor.some(({ kind }) => name.includes(kind));
  if (!isWaitedFor) expect(four).toBeGreaterThan(1.3 * (one ?? Infinity));
});

it('each error has a name of its own, and comes anew with a robot, a run or a use', () => {
  expect(new Set(ERRORS.map(({ name }) => name)).size).toBe(ERRORS.length);
  expect(new Set(ERRORS.map(({ level }) => level))).toEqual(new Set(['robot', 'run', 'use']));
});
