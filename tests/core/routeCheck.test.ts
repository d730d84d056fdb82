import { describe, expect, it } from 'vitest';
import { calibrationValueSchema } from '../../src/core/calibration/calibration';
import { fittedRobot } from '../../src/core/calibration/fittedRobot';
import { planRoute } from '../../src/core/course/plan';
import { plannedBranches } from '../../src/core/course/branches';
import { routeCheck } from '../../src/core/forecast/routeCheck';
import { prepare } from '../../src/core/forecast/prepare';
import { simulateRun } from '../../src/core/forecast/run';
import { robotSchema } from '../../src/core/robot/robot';
import { missionSchema, tableSchema } from '../../src/core/table/table';
import { bareTable, idealRobot, routeOf, withDevice } from './support';

const beam = missionSchema.parse({
  id: 'beam',
  name: 'tilting beam',
  points: 20,
  pose: { xM: 1.3, yM: 1, headingRad: 0 },
  window: { alongM: 0.02, acrossM: 0.02, headingRad: 0.1 },
});
const line = { x1M: 2, y1M: 0, x2M: 2, y2M: 3, widthM: 0.02 };
const table = tableSchema.parse({ ...bareTable, missions: [beam], lines: [line] });
const seeing = (periodS: number) =>
  withDevice(idealRobot, {
    kind: 'light sensor',
    label: 'L1',
    behaviour: { periodS, spotDiameterM: 0.008, noiseShare: 0 },
  });
const robot = { ...seeing(0.02), loopPeriodS: 0.01 };
const found = (steps: object[], by = robot) => {
  const route = routeOf(steps);
  const plan = planRoute(route, by, table);
  return routeCheck(plan, plannedBranches(route, by, table, plan), by, table);
};
const drive = (distanceM: number) => ({ kind: 'straight', distanceM });
const mark = { kind: 'mark', missionId: 'beam' };
const toLine = (speedMPerS: number) => ({ kind: 'to-line', speedMPerS });

describe('the check of a route', () => {
  it('finds nothing about one that is as it should be', () => {
    expect(found([drive(0.3), mark, toLine(0.3)])).toEqual([]);
  });

  it('says how far off its mission a mark is planned, and that one counts once', () => {
    const [off] = found([drive(0.35), mark]);
    expect(off).toMatchObject({ number: '2', problem: 'out-of-window' });
    expect(off?.sentence).toContain('50 mm and 0° off the tilting beam');
    const [again] = found([drive(0.3), mark, mark]);
    expect(again).toMatchObject({ number: '3', problem: 'marked-twice', mend: { step: null } });
    expect(again?.sentence).toContain('in step 2 already');
  });

  it('says where a tuned gain is used at another speed, and at which it is good', () => {
    const tuned = (kind: string, gain: object, speed: number) =>
      fittedRobot(robot, [calibrationValueSchema.parse({ kind, ...gain, looks: 2, speed })]).robot;
    const held = tuned('heading-hold', { gainMPerSPerRad: 0.8 }, 0.2);
    const at = (speedMPerS: number, gainMPerSPerRad = 0.8) => [
      { ...drive(0.3), speedMPerS, gainMPerSPerRad },
    ];
    for (const speed of [0.16, 0.2, 0.24]) expect(found(at(speed), held)).toEqual([]);
    // Another gain, one by the encoders and a robot whose gain nobody has tuned are not meant.
    expect(found(at(0.4, 1.5), held)).toEqual([]);
    expect(found(at(0.4), robot)).toEqual([]);
    expect(found([{ ...at(0.4)[0], strategy: 'encoder-balance' }], held)).toEqual([]);
    const [fast] = found(at(0.4), held);
    expect(fast).toMatchObject({ problem: 'gain-at-another-speed', number: '1' });
    expect(fast?.sentence).toContain('from 16 cm/s to 24 cm/s: at 40 cm/s');
    expect(fast?.mend?.step).toMatchObject({ speedMPerS: 0.24 });
    const turning = tuned('turn-gain', { gainPerS: 5 }, 2);
    const turn = { kind: 'turn', angleRad: 1, rateRadPerS: 3, strategy: 'proportional' };
    expect(found([turn], turning).map(({ problem }) => problem)).toContain('gain-at-another-speed');
  });

  it('knows a speed at which a line may be missed, and one at which it is not', () => {
    const [fast] = found([toLine(1.2)]);
    expect(fast).toMatchObject({ number: '1', problem: 'line-too-fast' });
    const slower = fast?.mend?.step;
    expect(slower).toMatchObject({ kind: 'to-line' });
    expect(found([slower as object])).toEqual([]);
    // Driven at the speed that mends it, it is seen in every run, wherever it begins.
    for (let i = 0; i < 40; i += 1) {
      const route = routeOf([slower as object], { xM: 1 + i / 1000, yM: 1, headingRad: 0 });
      const simulation = { robot, table, route, seed: i };
      expect(simulateRun(simulation, prepare(simulation), 0).end.failure).toBeNull();
    }
  });

  it('says that a power was never timed, of robots that are told powers', () => {
    const { program, ...record } = idealRobot;
    const byPower = robotSchema.parse({
      ...record,
      program: { ...program, command: 'percent' },
    });
    expect(found([drive(0.3)], byPower).map(({ problem }) => problem)).toEqual(['not-timed']);
    expect(found([drive(0.3)])).toEqual([]);
  });

  it('says what a plan doubts once, however often the step is made', () => {
    const touch = { kind: 'touch', sensor: 'bumper' };
    const all = found([{ kind: 'repeat', times: 3, steps: [touch] }]);
    expect(all).toHaveLength(1);
    expect(all[0]).toMatchObject({ number: '1.1', problem: 'no-such-sensor' });
  });

  it('sees what the robot’s outline meets, and not where it passes or is meant to', () => {
    const post = { x1M: 1.6, y1M: 1.1, x2M: 1.7, y2M: 1.1 };
    const meets = (steps: object[], leftM: number, start = { xM: 1, yM: 1, headingRad: 0 }) => {
      const on = { ...table, walls: [{ ...post, y1M: 1 + leftM, y2M: 1 + leftM }] };
      const route = routeOf(
        steps.map((step, i) => ({ id: `s${i}`, ...step })),
        start,
      );
      const plan = planRoute(route, robot, on);
      return routeCheck(plan, [], robot, on).map(
        ({ problem, sentence }) => `${problem}: ${sentence}`,
      );
    };
    const { halfWidthM, rearM } = robot.body;
    expect(meets([drive(1)], halfWidthM + 0.005)).toEqual([]);
    expect(meets([drive(1)], halfWidthM - 0.005).join()).toMatch(
      /outline meets wall 1 of the table/,
    );
    // It comes by, and hits it with its tail as it turns.
    const passes = halfWidthM + 0.005;
    const spin = { kind: 'turn', mode: 'by', angleRad: -1.6, leadRad: 0 };
    expect(meets([drive(0.6 + 0.05), spin], passes).join()).toMatch(/outline/);
    // Backed against the border, as it is meant to; and turned there, as it cannot be.
    const square = { kind: 'square-up', back: true, speedMPerS: 0.2, pressS: 2 };
    const near = { xM: 0.2, yM: 1, headingRad: 0 };
    expect(meets([square], 0.9, near)).toEqual([]);
    expect(rearM).toBeLessThan(halfWidthM);
    expect(meets([square, spin], 0.9, near).join()).toMatch(/outline meets the border/);
  });

  it('says that a sensor was never told its heading, and puts that before in one press', () => {
    const keeps = { ...robot, build: { ...robot.build, startZeroesHeading: 'no' as const } };
    const steps = [{ kind: 'mark', missionId: 'beam' }, drive(0.3)];
    const [off, never] = found(steps, keeps);
    expect(off?.problem).toBe('out-of-window');
    expect(never).toMatchObject({ number: '2', problem: 'heading-never-set' });
    const { before } = never?.mend ?? {};
    expect(before).toMatchObject({ kind: 'set-heading', headingRad: 0 });
    expect(found([before as object, drive(0.3)], keeps)).toEqual([]);
    expect(found([drive(0.3)])).toEqual([]);
  });

  it('says that a motion would end where it begins', () => {
    const dark = { reading: { unit: 'L1', channel: 'light' }, is: 'above', value: 0.01 };
    expect(found([{ ...drive(0.3), until: dark }])).toMatchObject([{ problem: 'already-so' }]);
    expect(found([{ ...drive(0.3), until: { ...dark, is: 'below' } }])).toEqual([]);
  });
});
