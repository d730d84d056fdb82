import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { robotSchema, type Robot } from '../../src/core/robot/robot';
import { FLOOR_MIDDLE, OPEN_FLOOR } from '../../src/core/simulate/floor';
import { FloorPose } from '../../src/core/machine/floorPose';
import { createMachine } from '../../src/core/machine/machine';
import { Wheel } from '../../src/core/machine/wheel';
import { withHeading } from '../../src/core/devices/ofRobot';
import { bareTable, deg } from './support';

/** Nothing but motors, wheels and body: no slip, no noise. */
const robot: Robot = robotSchema.parse({
  wheelDiameterM: 0.056,
  trackM: 0.13,
  motors: { lagS: 0.05, maxAccelerationMPerS2: 1.5, maxSpeedMPerS: 0.6 },
  gyro: { noiseRadPerSqrtS: 0, quantumRad: 0, latencyS: 0 },
  errors: { slipMPerSqrtM: 0, wheelDifference: 0.01, trackScaleError: -0.02 },
});

interface Command {
  leftMPerS: number;
  rightMPerS: number;
  loops: number;
}

/** The same motors and wheels in steps of a tenth of a millisecond, by Euler's rule. */
function inSmallSteps(commands: readonly Command[], stepS = 1e-4) {
  const { motors, errors, loopPeriodS } = robot;
  const track = robot.trackM * (1 + errors.trackScaleError);
  const pose = { ...FLOOR_MIDDLE };
  const speeds = [0, 0];
  const steps = Math.round(loopPeriodS / stepS);
  const follow = (side: number, wanted: number) => {
    const change = ((wanted - (speeds[side] ?? 0)) * stepS) / motors.lagS;
    const most = motors.maxAccelerationMPerS2 * stepS;
    speeds[side] = (speeds[side] ?? 0) + Math.max(-most, Math.min(most, change));
    return (speeds[side] ?? 0) * (1 + ((2 * side - 1) * errors.wheelDifference) / 2) * stepS;
  };
  const top = (speed: number) =>
    Math.max(-motors.maxSpeedMPerS, Math.min(motors.maxSpeedMPerS, speed));
  for (const { leftMPerS, rightMPerS, loops } of commands) {
    for (let i = 0; i < loops * steps; i += 1) {
      const leftM = follow(0, top(leftMPerS));
      const rightM = follow(1, top(rightMPerS));
      const turn = (rightM - leftM) / track;
      pose.xM += ((leftM + rightM) / 2) * Math.cos(pose.headingRad + turn / 2);
      pose.yM += ((leftM + rightM) / 2) * Math.sin(pose.headingRad + turn / 2);
      pose.headingRad += turn;
    }
  }
  return pose;
}

/** The steps of Euler's rule halved, and the error that is proportional to them taken out (Richardson). */
function reference(commands: readonly Command[]) {
  const [fine, coarse] = [inSmallSteps(commands, 5e-5), inSmallSteps(commands, 1e-4)];
  const of = (key: keyof typeof fine) => 2 * fine[key] - coarse[key];
  return { xM: of('xM'), yM: of('yM'), headingRad: of('headingRad') };
}

const speed = fc.double({ min: -0.7, max: 0.7, noNaN: true });
const command = fc.record({
  leftMPerS: speed,
  rightMPerS: speed,
  loops: fc.integer({ min: 1, max: 120 }),
});

describe('the motion of a simulated robot', () => {
  it('agrees with steps of a tenth of a millisecond: 0.1 mm and 0.005° after 30 s', () => {
    fc.assert(
      fc.property(fc.array(command, { minLength: 20, maxLength: 20 }), (drawn) => {
        // Thirty seconds of it, whatever was drawn.
        const commands: Command[] = [];
        let left = 3000;
        for (const one of [...drawn, { leftMPerS: 0.2, rightMPerS: 0.21, loops: 3000 }]) {
          const loops = Math.min(left, one.loops);
          if (loops > 0) commands.push({ ...one, loops });
          left -= loops;
        }
        const machine = createMachine(robot, OPEN_FLOOR, FLOOR_MIDDLE, 1, 0);
        for (const { loops, ...speeds } of commands) {
          machine.command(speeds);
          for (let i = 0; i < loops; i += 1) machine.advance();
        }
        const there = reference(commands);
        const { pose } = machine;
        const apart = Math.hypot(pose.xM - there.xM, pose.yM - there.yM);
        expect(machine.readings.timeS).toBeCloseTo(30, 9);
        expect(apart).toBeLessThan(1e-4);
        expect(Math.abs(pose.headingRad - there.headingRad)).toBeLessThan(deg(0.005));
      }),
      { numRuns: 12, seed: 4 },
    );
  });

  it('reads its gyro at the moments of its samples, though they fall between two loops', () => {
    // Every 3 ms, beside loops of 10 ms; it turns steadily.
    const uneven = withHeading(robot, { periodS: 0.003, latencyS: 0.004 });
    const machine = createMachine(uneven, OPEN_FLOOR, FLOOR_MIDDLE, 1, 0);
    const headings: number[] = [];
    for (let i = 0; i < 200; i += 1) {
      machine.command({ leftMPerS: -0.1, rightMPerS: 0.1 });
      machine.advance();
      headings.push(machine.pose.headingRad);
    }
    const rate = ((headings[199] ?? 0) - (headings[99] ?? 0)) / 1;
    // At 2 s the newest sample that is 4 ms old or more is that of 1.995 s.
    expect(machine.readings.headingRad).toBeCloseTo((headings[199] ?? 0) - 0.005 * rate, 9);
  });

  it('comes to rest, and then stands for good', () => {
    const machine = createMachine(robot, OPEN_FLOOR, FLOOR_MIDDLE, 1, 0);
    machine.command({ leftMPerS: 0.3, rightMPerS: 0.2 });
    for (let i = 0; i < 100; i += 1) machine.advance();
    machine.command({ leftMPerS: 0, rightMPerS: 0 });
    for (let i = 0; i < 100; i += 1) machine.advance();
    const stands = { ...machine.pose };
    for (let i = 0; i < 1000; i += 1) machine.advance();
    expect(machine.pose).toEqual(stands);
  });

  it('is stopped by the border wherever it drives, in parts that are short enough to square up', () => {
    const start = { xM: 2, yM: 2.5, headingRad: deg(80) };
    const machine = createMachine(robot, bareTable, start, 1, 0);
    machine.command({ leftMPerS: 0.3, rightMPerS: 0.3 });
    for (let i = 0; i < 400; i += 1) machine.advance();
    // Pressed against the far border it has squared up: its front is along it.
    expect(machine.pose.headingRad).toBeCloseTo(deg(90), 1);
    expect(machine.pose.yM + robot.body.frontM).toBeLessThan(bareTable.heightM + 0.003);
  });
});

describe('a pose that is driven along', () => {
  it('goes where its heading points, however many small and large turns that is the sum of', () => {
    const small = fc.double({ min: -0.1, max: 0.1, noNaN: true });
    const turns = fc.array(fc.oneof(small, fc.double({ min: -3, max: 3, noNaN: true })), {
      minLength: 1000,
      maxLength: 3000,
    });
    fc.assert(
      fc.property(turns, (all) => {
        const pose = new FloorPose({ xM: 0, yM: 0, headingRad: 0.4 });
        let heading = 0.4;
        for (const turn of all) {
          pose.arc(0, turn / 3, turn);
          heading += turn;
        }
        const { xM, yM } = pose;
        pose.arc(1, 0, 0);
        expect(pose.headingRad).toBeCloseTo(heading, 9);
        expect(pose.xM - xM).toBeCloseTo(Math.cos(heading), 7);
        expect(pose.yM - yM).toBeCloseTo(Math.sin(heading), 7);
      }),
      { numRuns: 20 },
    );
  });
});

describe('a wheel', () => {
  it('reaches its command no faster than its lag and its acceleration allow, and never goes beyond', () => {
    fc.assert(
      fc.property(speed, fc.array(speed, { minLength: 1, maxLength: 30 }), (first, commands) => {
        const wheel = new Wheel(robot.motors, 0.01);
        wheel.aimAt(first);
        for (const wanted of [first, ...commands]) {
          const before = wheel.speedMPerS;
          wheel.aimAt(wanted);
          wheel.pass();
          expect(wheel.rolledM(0.005)).toBeCloseTo(wheel.halfM, 12);
          expect(wheel.rolledM(0.01)).toBeCloseTo(wheel.wholeM, 12);
          const top = Math.max(-0.6, Math.min(0.6, wanted));
          expect(Math.abs(wheel.speedMPerS - before)).toBeLessThanOrEqual(0.015 + 1e-9);
          // Between where it was and where it is told to be.
          expect((wheel.speedMPerS - before) * (top - before)).toBeGreaterThanOrEqual(-1e-15);
          expect(Math.abs(top - wheel.speedMPerS)).toBeLessThanOrEqual(
            Math.abs(top - before) + 1e-4,
          );
        }
      }),
    );
  });
});
