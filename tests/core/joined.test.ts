import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { describeStep } from '../../src/core/course/describe';
import { plannedBranches } from '../../src/core/course/branches';
import { plannedDurationS, planRoute } from '../../src/core/course/plan';
import { prepare } from '../../src/core/forecast/prepare';
import { routeCheck } from '../../src/core/forecast/routeCheck';
import { simulateRun } from '../../src/core/forecast/run';
import type { Machine } from '../../src/core/machine/machine';
import type { Robot } from '../../src/core/robot/robot';
import type { Step } from '../../src/core/steps/descriptions';
import { bareTable, idealRobot, routeOf, withDevice } from './support';

const drive = (distanceM: number, more: object = {}) => ({ kind: 'straight', distanceM, ...more });
const start = { xM: 2, yM: 1.5, headingRad: 0 };
const seeing = withDevice(idealRobot, {
  kind: 'distance sensor',
  label: 'D1',
  behaviour: { noiseM: 0, lostEchoShare: 0, quantumM: 0 },
});
const lagging: Robot = { ...idealRobot, motors: { ...idealRobot.motors, lagS: 0.05 } };

function made(steps: object[], robot: Robot, watch?: (machine: Machine, step: number) => void) {
  const route = routeOf(steps, start);
  const simulation = { robot, table: bareTable, route, seed: 1 };
  const plan = planRoute(route, robot, bareTable);
  const { end } = simulateRun(simulation, prepare(simulation), 0, watch);
  const check = routeCheck(plan, plannedBranches(route, robot, bareTable, plan), robot, bareTable);
  const to = plan.at(-1)?.to ?? start;
  return { end, plan, check, offM: Math.hypot(end.xM - to.xM, end.yM - to.yM) };
}

describe('motions that are joined', () => {
  it('a robot without errors ends at the plan: what the first rolls too far is part of the second’s way', () => {
    const speed = fc.integer({ min: 8, max: 30 }).map((cm) => cm / 100);
    const length = fc.integer({ min: 20, max: 50 }).map((cm) => cm / 100);
    const legs = fc.array(fc.record({ distanceM: length, speedMPerS: speed }), {
      minLength: 2,
      maxLength: 3,
    });
    fc.assert(
      fc.property(legs, fc.boolean(), (drawn, isBack) => {
        const steps = drawn.map(({ distanceM, speedMPerS }) =>
          drive(isBack ? -distanceM : distanceM, { speedMPerS, joins: true }),
        );
        const ideal = made(steps, idealRobot);
        expect(ideal.end.failure).toBeNull();
        expect(ideal.offM).toBeLessThan(0.001);
        expect(made(steps, lagging).offM).toBeLessThan(0.003);
        // All but the last roll on.
        const problems = ideal.check.map(({ number, problem }) => `${number} ${problem}`);
        expect(problems).toEqual([`${steps.length} joins-nothing`]);
      }),
      { numRuns: 40 },
    );
  });

  it('the robot does not stop in between, and is there so much sooner as is planned', () => {
    const slowest = (joins: boolean) => {
      let leastMPerS = Infinity;
      let before = { timeS: 0, rolledM: 0 };
      const steps = [drive(0.4, { joins }), drive(0.4)];
      const run = made(steps, idealRobot, ({ readings: { timeS, leftM } }, step) => {
        const mPerS = (leftM - before.rolledM) / Math.max(1e-9, timeS - before.timeS);
        if (before.rolledM > 0.3 && before.rolledM < 0.5 && step < 2)
          leastMPerS = Math.min(leastMPerS, mPerS);
        before = { timeS, rolledM: leftM };
      });
      return { leastMPerS, timeS: run.end.timeS, plannedS: plannedDurationS(run.plan) };
    };
    const [joined, apart] = [slowest(true), slowest(false)];
    expect(joined.leastMPerS).toBeGreaterThan(0.28);
    expect(apart.leastMPerS).toBeLessThan(0.01);
    const savedS = apart.timeS - joined.timeS;
    expect(savedS).toBeGreaterThan(0.2);
    expect(apart.plannedS - joined.plannedS).toBeCloseTo(savedS, 1);
  });

  it('it rolls into an approach or a line, and stops before what does not drive on', () => {
    const nearing = { kind: 'approach', thresholdM: 0.8, speedMPerS: 0.15 };
    const into = made([drive(0.5, { joins: true, speedMPerS: 0.4 }), nearing], seeing);
    expect(into.plan[1]).toMatchObject({ fromMPerS: 0.4 });
    expect(into.check.map(({ sentence }) => sentence)).toEqual([]);
    expect(into.offM).toBeLessThan(0.004);
    const cases = [[{ kind: 'turn', angleRad: 1 }], [drive(-0.2)], [{ kind: 'wait' }], []];
    for (const next of cases) {
      const { plan, check } = made([drive(0.4, { joins: true }), ...next], idealRobot);
      expect(plan[0]?.rollsOut).toBeUndefined();
      const [found] = check.filter(({ problem }) => problem === 'joins-nothing');
      expect(found?.mend?.step).not.toHaveProperty('joins');
    }
  });

  it('says where there is no room left to stop; a time-out and a condition end it as they are told', () => {
    const fast = drive(0.6, { joins: true, speedMPerS: 0.5 });
    const [short] = made([fast, drive(0.03)], idealRobot).check;
    expect(short).toMatchObject({ number: '2', problem: 'too-short-to-stop' });
    const late = { ...fast, timeoutS: 0.3 };
    expect(made([late, drive(0.3)], idealRobot).end).toMatchObject({ failure: 'time' });
    const time = { reading: 'time', is: 'above', value: 0.5, confirmations: 1 };
    const early = made([{ ...fast, until: time }, drive(0.4)], idealRobot);
    expect(early.end.failure).toBeNull();
    // What a condition ends stops there, as is said.
    expect(early.offM).toBeLessThan(0.01);
    expect(early.check[0]?.problem).toBe('joins-nothing');
    expect(describeStep(routeOf([fast]).steps[0] as Step, [])).toContain('and rolls on at its end');
  });
});
