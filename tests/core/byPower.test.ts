import { describe, expect, it } from 'vitest';
import type { SpeedCalibration } from '../../src/core/calibrationValues/speed';
import { fittedRobot } from '../../src/core/calibration/fittedRobot';
import { batteryShare, onBattery } from '../../src/core/program/byPower';
import { speedOf } from '../../src/core/program/speedOf';
import { speedTable } from '../../src/core/drive/speedTable';
import type { Robot } from '../../src/core/robot/robot';
import { prepare } from '../../src/core/forecast/prepare';
import { simulateRun } from '../../src/core/forecast/run';
import { doubtsOf } from '../../src/core/sources/sources';
import { act, type StandInAction } from '../../src/core/standIn/act';
import { measureLastProgram } from '../../src/core/standIn/view';
import { secretsOf } from '../../src/core/standIn/secrets';
import { newStandIn, standInTime } from '../../src/core/standIn/state';
import type { BenchStep } from '../../src/core/standIn/steps/benchStep';
import { standInTruth } from '../../src/core/standIn/truth';
import { mean, sampleSd } from '../../src/core/stats/moments';
import { squaring } from '../../src/core/walls/squaring';
import { pipit } from '../../src/server/demo/scenario';
import { bareTable, deg, idealRobot, routeOf } from './support';

const timed: SpeedCalibration = {
  kind: 'speed',
  gainMPerSPerV: 0.08,
  deadBand: 0.06,
  residualShare: 0.01,
  batteryV: 8,
  lowestCommand: 0.1,
  highestCommand: 1,
};
const byPower: Robot = {
  ...idealRobot,
  program: { ...idealRobot.program, command: 'percent' },
};
const route = routeOf([{ kind: 'straight', distanceM: 1.2, speedMPerS: 0.2 }]);

describe('a robot whose programs give a share of power', () => {
  it('drives faster on a fuller battery than on that of its timed drives; a regulated one does not', () => {
    const fitted = fittedRobot(byPower, [timed]).robot;
    expect(batteryShare(fitted)).toBe(1);
    expect(batteryShare(onBattery(fitted, 0.8))).toBeCloseTo(1.1, 9);
    expect(batteryShare(onBattery(byPower, 0.8))).toBe(1);
    const held = { ...fitted, program: { ...fitted.program, regulated: true } };
    expect(batteryShare(onBattery(held, 0.8)), 'a kit that holds its speed').toBe(1);
    expect(batteryShare(onBattery(fittedRobot(idealRobot, [timed]).robot, 0.8))).toBe(1);
  });

  it('takes another time on each battery, and ends at the same place: the encoders stop it', () => {
    const ends = (robot: Robot) => {
      const charge = doubtsOf([timed]).filter(({ name }) => name === 'charge of the battery');
      const fitted = fittedRobot(robot, [timed]).robot;
      const simulation = { robot: fitted, table: bareTable, route, seed: 3, doubts: charge };
      const prepared = prepare(simulation);
      return Array.from({ length: 160 }, (_, i) => simulateRun(simulation, prepared, i).end);
    };
    const [powered, regulated] = [ends(byPower), ends(idealRobot)];
    const spread = (some: typeof powered) =>
      sampleSd(some.map(({ timeS }) => timeS)) / mean(some.map(({ timeS }) => timeS));
    // 0.2 of 8 V are 2.5 %.
    expect(spread(powered)).toBeGreaterThan(0.018);
    expect(spread(powered)).toBeLessThan(0.032);
    expect(spread(regulated)).toBeLessThan(0.001);
    expect(sampleSd(powered.map(({ xM }) => xM))).toBeLessThan(0.002);
  });
});

describe('the stand-in', () => {
  const truth = standInTruth(pipit, 42);
  const seen = (...steps: BenchStep[]) => {
    const done = (state: ReturnType<typeof newStandIn>, action: StandInAction) =>
      act(state, truth, action, 0);
    const on = [
      { do: 'set-clock', rate: 0 },
      { do: 'power-on', inHand: false },
      { do: 'advance', durationS: 5 },
    ] as const;
    let state = on.reduce(done, newStandIn('R', pipit, 42, 0));
    return steps.map((step) => {
      state = done(done(state, { do: 'run', steps: [step] }), { do: 'advance', durationS: 30 });
      const measured = measureLastProgram(truth, state, standInTime(state, 0));
      if (measured === null) throw new Error('it did not drive');
      return measured;
    });
  };

  it('has motors whose dead band and speed timed drives find', () => {
    const shares = [0.15, 0.3, 0.5, 0.7, 0.9, 0.9];
    const drives = seen(
      ...shares.map((share): BenchStep => ({ kind: 'power', share, durationS: 3 })),
    ).map(({ xM, batteryV }, i) => ({
      command: shares[i] ?? 0,
      batteryV: batteryV ?? 0,
      distanceM: xM,
      timeS: 3,
    }));
    const found = speedTable(drives);
    const { power } = truth.robot.measured;
    if (power === null || found === null) throw new Error('no motors');
    expect(found.deadBandLow95).toBeLessThan(power.deadBand + 0.003);
    expect(found.deadBandHigh95).toBeGreaterThan(power.deadBand - 0.003);
    const half = found.at(0.5, 8);
    // Its wheels are a little smaller than recorded.
    expect(half.speedMPerS / speedOf(power, 0.5, 8)).toBeGreaterThan(0.975);
    expect(half.speedMPerS / speedOf(power, 0.5, 8)).toBeLessThan(1.01);
    expect(secretsOf(truth).find(({ name }) => name.startsWith('Stands below'))?.value).toBe(
      `${Math.round(100 * power.deadBand)} %`,
    );
  });

  it('is straightened by a wall as fast as presses find', () => {
    const before = deg(8);
    const times = [0.1, 0.15, 0.2, 0.3, 0.1, 0.2];
    const presses = seen(
      ...times.map((durationS): BenchStep => ({
        kind: 'press',
        share: 0.35,
        durationS,
        beforeRad: before,
      })),
    ).map(({ turnedRad, batteryV }, i) => ({
      power: 0.35,
      timeS: times[i] ?? 0,
      beforeRad: before,
      afterRad: before + turnedRad,
      batteryV,
    }));
    const found = squaring(presses)?.powers[0];
    const { power, squaring: wall } = truth.robot.measured;
    if (power === null || wall?.straightensPerM == null) throw new Error('no wall');
    const speedMPerS = speedOf(power, 0.35, presses[0]?.batteryV ?? 8);
    const constantS = 1 / (wall.straightensPerM * speedMPerS);
    expect(found?.low95).toBeLessThan(1.1 * constantS);
    expect(found?.high95).toBeGreaterThan(0.9 * constantS);
  });
});
