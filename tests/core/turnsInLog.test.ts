import { describe, expect, it } from 'vitest';
import { headingLeftOver } from '../../src/core/square/headingLeftOver';
import { act, type StandInAction } from '../../src/core/standIn/act';
import type { BenchStep } from '../../src/core/standIn/steps/benchStep';
import { readingsBetween } from '../../src/core/standIn/readings';
import { newStandIn, standInTime, type StandIn } from '../../src/core/standIn/state';
import { standInTruth } from '../../src/core/standIn/truth';
import { trialsFromLog } from '../../src/core/turns/trialsFromLog';
import { turnsInLog, type TurnLog } from '../../src/core/turns/turnsInLog';
import { pipit } from '../../src/server/demo/scenario';
import { headingOf } from '../../src/core/devices/ofRobot';
import { deg } from './support';

const truth = standInTruth(pipit, 7);
const rest: BenchStep = { kind: 'wait', durationS: 1 };
const turn = (degrees: number, rate: number): BenchStep => ({
  kind: 'turn',
  angleRad: deg(degrees),
  how: { school: 'stop-early', rateRadPerS: deg(rate), leadRad: 0 },
});

/** What the stand-in reads while it drives a program, in Corvat's directions, and what is true. */
function driven(steps: BenchStep[]): { log: TurnLog; turnedRad: number } {
  const actions: StandInAction[] = [
    { do: 'set-clock', rate: 0 },
    { do: 'power-on', inHand: false },
    { do: 'advance', durationS: 400 },
    { do: 'run', steps: [rest, ...steps, rest] },
    { do: 'advance', durationS: 60 },
  ];
  const state = actions.reduce<StandIn>(
    (before, action) => act(before, truth, action, 0),
    newStandIn('R', pipit, 7, 0),
  );
  const end = standInTime(state, 0);
  const readings = readingsBetween(truth, state, end - 60, end);
  const { signs } = truth;
  const motion = state.motions.at(-1);
  return {
    log: {
      tS: Float64Array.from(readings, ({ tS }) => tS),
      headingRad: Float64Array.from(readings, (one) => signs.heading * (one.headingRad ?? 0)),
      leftMotorDegrees: Float64Array.from(
        readings,
        (one) => signs.leftMotor * one.leftMotorDegrees,
      ),
      rightMotorDegrees: Float64Array.from(
        readings,
        (one) => signs.rightMotor * one.rightMotorDegrees,
      ),
    },
    turnedRad: (motion?.end.pose.headingRad ?? 0) - (motion?.start.pose.headingRad ?? 0),
  };
}

describe('turns in a robot’s own log', () => {
  it('are found with the angle truly turned, but for the scale error of the gyro', () => {
    const { log, turnedRad } = driven([turn(90, 120), rest, turn(-45, 60), rest, turn(360, 150)]);
    const turns = turnsInLog(log);
    expect(turns.map(({ turnedRad: angle }) => Math.sign(angle))).toEqual([1, -1, 1]);
    const sum = turns.reduce((total, one) => total + one.turnedRad, 0);
    const scale = 1 + (headingOf(truth.robot)?.scaleError ?? 0);
    expect(Math.abs(sum - scale * turnedRad)).toBeLessThan(deg(0.4));
    for (const [i, rate] of [120, 60, 150].entries()) {
      expect(Math.abs((turns[i]?.rateRadPerS ?? 0) / deg(rate) - 1)).toBeLessThan(0.08);
    }
    expect(turns.map(({ kind }) => kind)).toEqual(['spin', 'spin', 'spin']);
    // 360° at 150 °/s, a little more for gathering and losing speed.
    expect(turns[2]?.durationS).toBeGreaterThan(2.3);
    expect(turns[2]?.durationS).toBeLessThan(2.9);
  });

  it('are no turns when the robot drives straight, or lies still', () => {
    const straight: BenchStep = {
      kind: 'straight',
      distanceM: 0.8,
      speedMPerS: 0.25,
      holdHeading: true,
    };
    expect(turnsInLog(driven([straight]).log)).toEqual([]);
    expect(turnsInLog(driven([rest]).log)).toEqual([]);
  });

  it('tell a pivot and an arc from a spin by the wheels', () => {
    const tS = Float64Array.from({ length: 300 }, (_, i) => i / 50);
    const ramp = (t: number, size: number) => size * Math.min(1, Math.max(0, t - 2));
    const log = (left: number, right: number): TurnLog => ({
      tS,
      headingRad: tS.map((t) => ramp(t, deg(90))),
      leftMotorDegrees: tS.map((t) => ramp(t, left)),
      rightMotorDegrees: tS.map((t) => ramp(t, right)),
    });
    const kindOf = (left: number, right: number) => turnsInLog(log(left, right))[0]?.kind;
    expect(kindOf(-200, 200)).toBe('spin');
    expect(kindOf(5, 400)).toBe('pivot');
    expect(kindOf(300, 700)).toBe('arc');
    const { tS: t, headingRad } = log(0, 0);
    expect(turnsInLog({ tS: t, headingRad })[0]?.kind).toBeNull();
  });

  it('become trials of what was told, the known drift taken out', () => {
    const found = (degrees: number, rate: number, kind: 'spin' | 'arc' = 'spin') => ({
      fromS: 0,
      toS: 1,
      turnedRad: deg(degrees),
      rateRadPerS: deg(rate),
      durationS: 2,
      kind,
    });
    const { trials, others } = trialsFromLog(
      [found(93, 86), found(-182, 120), found(130, 90), found(90, 90, 'arc')],
      {
        targetsRad: [90, 180].map(deg),
        ratesRadPerS: [90].map(deg),
        kind: 'spin',
        driftRadPerS: deg(0.5),
      },
    );
    expect(others).toBe(2);
    // It read 0.5 °/s · 2 s too much: so much less it has truly turned.
    expect(trials[0]?.actualRad).toBeCloseTo(deg(92), 9);
    expect(trials[1]).toMatchObject({ targetRad: -deg(180) });
    expect(trials[0]?.rateRadPerS).toBeCloseTo(deg(90), 9);
    expect(trials[1]?.rateRadPerS).toBeCloseTo(deg(120), 9);
  });

  it('a lap that closes leaves no heading over, whole turns aside', () => {
    const lap = (degrees: number) =>
      headingLeftOver(
        Float64Array.from(
          { length: 500 },
          (_, i) => deg(degrees) * Math.min(1, Math.max(0, (i - 60) / 380)),
        ),
      );
    expect(lap(360)).toBeCloseTo(0, 9);
    expect(lap(-357)).toBeCloseTo(deg(3), 9);
    expect(lap(351.5)).toBeCloseTo(deg(-8.5), 9);
  });
});
