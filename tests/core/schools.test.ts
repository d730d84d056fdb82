import { describe, expect, it } from 'vitest';
import type { TurnStrategy } from '../../src/core/control/turn/schema';
import { adviceText, compareText } from '../../src/core/turns/strategyText';
import { simulateStrategy, suggestGain } from '../../src/core/turns/simulateStrategy';
import { withHeading } from '../../src/core/devices/ofRobot';
import { deg, idealRobot } from './support';

describe('ways to turn', () => {
  const robot = { ...idealRobot, motors: { ...idealRobot.motors, lagS: 0.05 } };
  const stop = (leadRad: number): TurnStrategy => ({
    school: 'stop-early',
    rateRadPerS: 1.5,
    leadRad,
  });

  it('stop late by rate × lag, and right when they stop early by it', () => {
    const late = simulateStrategy(robot, stop(0), deg(90), 3, 1);
    expect(late.meanErrorRad).toBeCloseTo(1.5 * 0.05, 2);
    const early = simulateStrategy(robot, stop(late.meanErrorRad), deg(90), 3, 1);
    expect(Math.abs(early.meanErrorRad)).toBeLessThan(deg(0.3));
  });

  it('suggest a gain that stays within the stated overshoot, and not much less', () => {
    const school = {
      school: 'proportional',
      rateRadPerS: 2.5,
      kpPerS: 4,
      kd: 0,
      kiPerS2: 0,
      leastRateRadPerS: 0.1,
      integralLimitRadPerS: 0.4,
      settledRad: deg(1),
      settledRateRadPerS: deg(5),
      settledS: 0.1,
    } as const;
    const gain = suggestGain(robot, school, deg(90), deg(1)) ?? 0;
    expect(gain).toBeGreaterThan(1);
    const at = (kpPerS: number) => simulateStrategy(robot, { ...school, kpPerS }, deg(90), 2, 1);
    expect(at(gain).overshootRad).toBeLessThan(deg(1.05));
    expect(at(gain).unsettledShare).toBe(0);
    expect(at(gain * 1.3).overshootRad).toBeGreaterThan(deg(1));
  });

  it('never settle when the gain shakes the robot', () => {
    const slow = withHeading(robot, { latencyS: 0.1 });
    const school: TurnStrategy = {
      school: 'proportional',
      rateRadPerS: 3,
      kpPerS: 40,
      kd: 0,
      kiPerS2: 0,
      leastRateRadPerS: 0.3,
      integralLimitRadPerS: 0.4,
      settledRad: deg(1),
      settledRateRadPerS: deg(5),
      settledS: 0.1,
    };
    expect(simulateStrategy(slow, school, deg(90), 2, 1).unsettledShare).toBe(1);
  });
});

it('says which way of turning to program, or what would make one right', () => {
  const outcome = (meanErrorRad: number, meanDurationS: number, unsettledShare = 0) => ({
    school: { school: 'encoder', rateRadPerS: 1 } as const,
    meanDurationS,
    meanErrorRad,
    sdErrorRad: deg(0.1),
    overshootRad: 0,
    unsettledShare,
    trace: [],
  });
  const ways = [deg(9), deg(6), deg(0.2), deg(0.1), deg(0.1), deg(0.1)].map((error, i) =>
    outcome(error, 0.5 + 0.2 * i, i === 5 ? 1 : 0),
  );
  expect(compareText(ways)).toMatch(
    /^“Two speeds” is right.*“Proportional \(P\)” would keep within 0\.3°, but takes 0\.2 s longer/,
  );
  expect(compareText(ways.slice(0, 2))).toMatch(/^None keeps within half a degree; “Stop early/);
  expect(adviceText(ways)).toMatch(/Program it as “Two speeds”/);
  expect(adviceText(ways.slice(0, 2))).toMatch(
    /Stopping 6\.0° earlier would make “Stop early by the gyro” right/,
  );
  expect(compareText([outcome(0, 1, 1)])).toMatch(/None of these settles/);
});
