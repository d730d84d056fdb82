import { describe, expect, it } from 'vitest';
import { kickOf, type JudgedDrive } from '../../src/core/drive/kick';
import { straightModel } from '../../src/core/drive/straightModel';
import { straightStudy } from '../../src/core/drive/straightStudy';
import { fittedRobot } from '../../src/core/calibration/fittedRobot';
import { planRoute } from '../../src/core/course/plan';
import { beforeDrives } from '../../src/core/simulate/reversals';
import { prepare } from '../../src/core/forecast/prepare';
import { simulateRun } from '../../src/core/forecast/run';
import { doubtsOf, doubtsThatTouch } from '../../src/core/sources/sources';
import { mean, sampleSd } from '../../src/core/stats/moments';
import { generator, normal } from '../support/eulerRobot';
import { bareTable, deg, idealRobot, routeOf, withoutDevices } from './support';

const PLAY_M = 0.003;
const KICK_RAD = deg(1.5);

/** Drives on a tape read to millimetres, half of them the first after one the other way. */
function bench(random: () => number, n = 16): JudgedDrive[] {
  return Array.from({ length: n }, (_, i) => {
    const commandedM = i % 4 < 2 ? 0.4 : 1.2;
    const afterReversal = i % 2 === 1;
    const trulyM = 0.985 * commandedM + 0.004 - (afterReversal ? PLAY_M : 0);
    return {
      commandedM,
      actualM: Math.round(1000 * (trulyM + 0.0012 * normal(random))) / 1000,
      sidewaysM: null,
      headingChangeRad: deg(0.2) * normal(random) + (afterReversal ? KICK_RAD * normal(random) : 0),
      speedMPerS: 0.3,
      keptBy: 'nothing',
      afterReversal,
    };
  });
}

describe('the first drive after one the other way', () => {
  it('tells the play of motors and gears, in an interval that holds it, and does not shift the wheels', () => {
    const held = { play: 0, scale: 0 };
    const benches = 400;
    for (let i = 0; i < benches; i += 1) {
      const { playM, scaleFactor } = straightModel(bench(generator(i + 1))) ?? {};
      held.play += Number(playM != null && playM.low95 <= PLAY_M && playM.high95 >= PLAY_M);
      held.scale += Number(
        scaleFactor !== undefined && scaleFactor.low95 <= 0.985 && scaleFactor.high95 >= 0.985,
      );
    }
    expect(held.play / benches).toBeGreaterThan(0.93);
    expect(held.scale / benches).toBeGreaterThan(0.93);
    const study = straightStudy(bench(generator(1)));
    expect(study?.sentences.means).toMatch(
      /first drive after one the other way ends [23]\.\d mm short: motors and gears have play/,
    );
    // Backward, it lacks as much of a way that is told with a minus.
    const mirrored = bench(generator(1)).map((one) => ({
      ...one,
      commandedM: -one.commandedM,
      actualM: -one.actualM,
    }));
    expect(straightModel(mirrored)?.playM?.value).toBeCloseTo(
      straightModel(bench(generator(1)))?.playM?.value ?? NaN,
      12,
    );
  });

  it('tells how a caster kicks, where no heading sensor takes it out again', () => {
    const drives = bench(generator(7), 120);
    const kick = kickOf(drives);
    expect((kick?.sdRad ?? 0) / KICK_RAD).toBeGreaterThan(0.75);
    expect((kick?.sdRad ?? 0) / KICK_RAD).toBeLessThan(1.25);
    expect(kickOf(drives.map((one) => ({ ...one, keptBy: 'heading' })))).toBeNull();
    expect(kickOf(bench(generator(7), 4))).toBeNull();
  });

  it('is told apart in a plan: not before the first motion, after a turn something else', () => {
    const drive = (distanceM: number) => ({ kind: 'straight', distanceM });
    const turn = { kind: 'turn', angleRad: 1 };
    const mark = { kind: 'mark', missionId: 'm' };
    const route = routeOf([
      drive(0.4),
      drive(0.2),
      mark,
      drive(-0.3),
      turn,
      drive(-0.1),
      drive(0.1),
    ]);
    expect(beforeDrives(planRoute(route, idealRobot, bareTable))).toEqual([
      null,
      null,
      null,
      'the other way',
      null,
      'a turn',
      'the other way',
    ]);
  });
});

describe('a simulated robot that drives back', () => {
  const there = { kind: 'straight', distanceM: 0.5, gainMPerSPerRad: 1.5 };
  const back = { ...there, distanceM: -0.3 };
  const route = routeOf([there, back]);
  const ends = (robot: typeof idealRobot, runs = 200) => {
    const simulation = { robot, route, table: bareTable, seed: 3 };
    const prepared = prepare(simulation);
    return Array.from({ length: runs }, (_, i) => simulateRun(simulation, prepared, i).end);
  };
  const straight = straightStudy(bench(generator(3)))?.value;

  it('goes so much less of the way back as was measured, and says what it rests on', () => {
    if (straight == null) throw new Error('nothing to apply');
    const { play: _, kick: __, ...plain } = straight;
    const with_ = ends(fittedRobot(idealRobot, [straight]).robot);
    const without = ends(fittedRobot(idealRobot, [plain]).robot);
    const x = (all: typeof without) => mean(all.map(({ xM }) => xM));
    expect(x(with_) - x(without)).toBeCloseTo(straight.play?.meanM ?? NaN, 4);
    const names = (values: Parameters<typeof doubtsOf>[0], on = route) =>
      doubtsThatTouch(doubtsOf(values), on, idealRobot)
        .filter(({ measured }) => measured)
        .map(({ name }) => name);
    expect(names([straight])).toContain('play at a reversal');
    expect(names([plain])).not.toContain('play at a reversal');
    expect(names([straight], routeOf([there]))).not.toContain('play at a reversal');
  });

  it('with a caster faces another way by chance; a heading sensor takes it out, and it ends beside its line', () => {
    const build = { ...idealRobot.build, trailingCaster: true };
    const blind = { ...withoutDevices(idealRobot, 'heading sensor'), build };
    const spread = (robot: typeof idealRobot, of: 'yM' | 'headingRad') =>
      sampleSd(ends(robot).map((end) => end[of]));
    expect(spread(idealRobot, 'headingRad')).toBeLessThan(deg(0.1));
    // Half a degree is what is guessed where nobody measured it.
    expect(spread(blind, 'headingRad')).toBeGreaterThan(deg(0.4));
    const gyro = { ...idealRobot, build };
    expect(spread(gyro, 'headingRad')).toBeLessThan(deg(0.3));
    expect(spread(gyro, 'yM')).toBeGreaterThan(0.0001);
  });
});
