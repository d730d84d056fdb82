import { describe, expect, it } from 'vitest';
import { calibrationValueSchema } from '../../src/core/calibration/calibration';
import { fittedRobot } from '../../src/core/calibration/fittedRobot';
import { planRoute } from '../../src/core/course/plan';
import { prepare } from '../../src/core/forecast/prepare';
import { simulateRun } from '../../src/core/forecast/run';
import { createMachine } from '../../src/core/machine/machine';
import { bareTable, deg, idealRobot, routeOf, withDevice } from './support';

const claw = {
  kind: 'attachment motor',
  id: 'claw',
  label: 'claw',
  behaviour: { fullRateRadPerS: 2 },
};
const measured = calibrationValueSchema.parse({
  kind: 'attachment',
  armM: 0.1,
  positions: [{ name: 'up', angleRad: deg(90), offsetRad: 0, sdRad: deg(1), n: 6 }],
  playRad: null,
  lateS: null,
  moveS: null,
});
const { robot } = fittedRobot(withDevice(idealRobot, claw), [measured]);
const START = { xM: 1, yM: 1, headingRad: 0 };
const arm = (part: object) => ({ id: 'arm', kind: 'attachment', ...part });
const made = (steps: object[], seed = 1, by = robot) => {
  const route = routeOf(steps, START);
  const simulation = { robot: by, table: bareTable, route, seed };
  const { end } = simulateRun(simulation, prepare(simulation), 0);
  return { end, plan: planRoute(route, by, bareTable) };
};

describe('a step that moves an arm', () => {
  it('goes to a named position in its time, and the robot stands meanwhile', () => {
    // 90° at half of 2 rad/s.
    const { end, plan } = made([arm({ position: 'up', share: 0.5 })]);
    expect(plan[0]).toMatchObject({ to: START, problems: [] });
    expect(plan[0]?.durationS).toBeCloseTo(0.1 + deg(90), 2);
    expect(end).toMatchObject({ failure: null, xM: 1, yM: 1 });
    expect(end.timeS).toBeGreaterThan(1.4);
    expect(end.timeS).toBeLessThan(1.9);
  });

  it('that is not waited for moves on while the robot drives, and a condition sees it come', () => {
    const drive = { id: 'd', kind: 'straight', distanceM: 1, speedMPerS: 0.2 };
    const until = { reading: { motor: 'claw' }, is: 'above', value: deg(60) };
    const { end } = made([
      arm({ angleRad: deg(90), share: 0.5, wait: false }),
      { ...drive, until },
    ]);
    // It is at 60° after 1.05 s; by then the robot has come 0.2 m.
    expect(end.failure).toBeNull();
    expect(end.xM).toBeGreaterThan(1.15);
    expect(end.xM).toBeLessThan(1.25);
  });

  it('turns for a time either way, and comes back to where it was told', () => {
    const machine = createMachine(robot, bareTable, START, 1, 0);
    const angle = () => Math.round(machine.read({ unitId: 'claw', channel: 'angle' }) ?? NaN);
    const pass = (seconds: number) => {
      for (let i = 0; i < seconds / 0.002; i += 1) machine.advance();
    };
    machine.moveArm({ unitId: 'claw', toRad: null, rateRadPerS: -1, durationS: 0.5 });
    pass(1);
    expect(angle()).toBe(-29);
    machine.moveArm({ unitId: 'claw', toRad: deg(10), rateRadPerS: 1, durationS: null });
    pass(0.2);
    expect(angle()).toBe(-18);
    pass(1);
    expect(angle()).toBe(10);
  });

  it('says what it does not know: a position, a motor, where to go; and fails without a motor', () => {
    const problems = (part: object, by = robot) => made([arm(part)], 1, by).plan[0]?.problems;
    expect(problems({ position: 'down' })).toEqual(['unknown-position']);
    expect(problems({ unit: 'hook', angleRad: 1 })).toEqual(['no-such-motor']);
    expect(problems({})).toEqual(['nowhere-to-move']);
    expect(made([arm({ angleRad: 1 })], 1, idealRobot).end.failure).toBe('no-sensor');
    expect(made([arm({ angleRad: 1, share: 0.01 })]).end.failure).toBeNull();
  });
});
