import { describe, expect, it } from 'vitest';
import { rawConvention } from '../../src/core/channels/rawConvention';
import { robotSchema, type Robot } from '../../src/core/robot/robot';
import { act, type StandInAction } from '../../src/core/standIn/act';
import { standInView } from '../../src/core/standIn/view';
import { readingsBetween } from '../../src/core/standIn/readings';
import { newStandIn } from '../../src/core/standIn/state';
import { standInTruth } from '../../src/core/standIn/truth';
import { traceFromLog } from '../../src/core/tuning/logTrace';
import { TUNED, tunedController } from '../../src/core/tuning/controllers/registry';
import type { TunedId } from '../../src/core/robot/tunedIds';
import { SHOWN } from '../../src/core/control/tuned';
import { firstGain } from '../../src/core/tuning/firstGain';
import { mountsOf } from '../../src/core/tuning/mounting';
import { tunedInProgram } from '../../src/core/tuning/tunedInProgram';
import type { WallSide } from '../../src/core/tuning/wallTrace';
import { devicesOf } from '../../src/core/devices/ofRobot';
import { TableBuilder, toReading } from '../../src/formats/readings';
import { toLog } from '../../src/formats/toLog';
import { deg } from './support';

const record: Robot = robotSchema.parse({
  wheelDiameterM: 0.056,
  trackM: 0.12,
  units: [
    { id: 'l', kind: 'left motor', label: 'M1' },
    { id: 'r', kind: 'right motor', label: 'M2' },
    { id: 'g', kind: 'heading sensor', label: 'H1' },
    { id: 'd', kind: 'distance sensor', label: 'front', place: { aheadM: 0.1 } },
    {
      id: 's',
      kind: 'distance sensor',
      label: 'side',
      facingRad: Math.PI / 2,
      place: { aheadM: 0.08, leftM: 0.06 },
    },
    { id: 'c', kind: 'light sensor', label: 'L1', place: { aheadM: 0.08 } },
  ],
});

/** What a stand-in does one after the other, its clock stepped by hand. */
function after(seed: number, ...actions: StandInAction[]) {
  const truth = standInTruth(record, seed);
  const begun = act(newStandIn('r', record, seed, 0), truth, { do: 'set-clock', rate: 0 }, 0);
  const state = actions.reduce((at, action) => act(at, truth, action, 0), begun);
  return { state, truth, ...standInView(truth, state, 0) };
}

const ON: StandInAction = { do: 'power-on', inHand: false };
const wait = (durationS: number): StandInAction => ({ do: 'advance', durationS });

/** The log that a person records of a push at a gain, read by the record's directions. */
function pushed(controller: TunedId, gain: number, seed: number) {
  const { state, truth, nowS } = after(
    seed,
    ON,
    wait(2),
    { do: 'run', steps: [{ kind: 'push', controller, gain }] },
    wait(9),
  );
  const table = new TableBuilder();
  const readings = readingsBetween(truth, state, 1, nowS);
  for (const reading of readings) table.add(toReading(reading));
  return toLog(table.done(readings.length), {
    ...rawConvention(record),
    signs: truth.signs,
  });
}

/** The same controllers as they are at work on a stand-in, with what its log does not tell. */
function verdictOf(id: TunedId, gain: number, seed: number) {
  const unit = SHOWN[id].sensor?.(record) ?? null;
  const log = pushed(id, gain, seed);
  const channels = Object.keys(log.columns);
  const light = devicesOf(standInTruth(record, seed).robot, 'light sensor')[0]?.behaviour;
  const kept: Partial<Record<TunedId, { channel: RegExp; target: number; side: WallSide }>> = {
    wall: { channel: /^distanceM:.*side/, target: 0.12, side: 'left' },
    line: {
      channel: /^light/,
      target: ((light?.floorShare ?? 0) + (light?.lineShare ?? 0)) / 2,
      side: 'right',
    },
  };
  const { channel, target = deg(45), side = 'left' } = kept[id] ?? {};
  return traceFromLog(log, id, record, {
    channel: channel === undefined ? null : (channels.find((key) => channel.test(key)) ?? null),
    target,
    side,
    aheadM: unit?.place.aheadM ?? 0,
  }).judged?.verdict;
}

describe('a push of the stand-in, recorded', () => {
  it.each(TUNED.map(({ id }) => [id] as const))(
    '%s: from its log alone a gain is judged as it is',
    (id) => {
      const middle = firstGain(tunedController(id), record)?.middle ?? Number.NaN;
      for (const seed of [1, 2, 3]) {
        expect(verdictOf(id, middle, seed)).toBe('good');
        expect(verdictOf(id, -middle, seed)).toBe('wrong-sign');
        expect(verdictOf(id, middle / 40, seed)).toBe('too-weak');
        // Along a wall it runs into it at once: a trace of half a second tells nothing.
        expect(verdictOf(id, 40 * middle, seed) ?? 'too-strong').toBe('too-strong');
      }
    },
  );

  it('is refused with what its log lacks', () => {
    const log = pushed('heading-hold', 1, 1);
    const { headingRad: _, ...rest } = log.columns;
    const by = { channel: null, target: 0, side: 'left' as const, aheadM: 0 };
    expect(() => traceFromLog({ tS: log.tS, columns: rest }, 'heading-hold', record, by)).toThrow(
      'The log does not hold this: Heading.',
    );
    const still = { tS: log.tS.slice(0, 40), columns: { ...log.columns } };
    const cut = Object.entries(still.columns).map(([key, values]) => [key, values?.slice(0, 40)]);
    expect(() =>
      traceFromLog(
        { tS: still.tS, columns: Object.fromEntries(cut) as typeof log.columns },
        'heading-hold',
        record,
        by,
      ),
    ).toThrow('The motors do not turn in it');
  });
});

describe('an approach of the stand-in', () => {
  it('stops before the target, the nearer the faster it drives, and its gap is measured', () => {
    const gapFrom = (speedMPerS: number, seed: number) => {
      const { measured } = after(
        seed,
        ON,
        { do: 'set-target', distanceM: 0.8 },
        wait(2),
        { do: 'run', steps: [{ kind: 'approach', thresholdM: 0.2, speedMPerS, wallM: null }] },
        wait(20),
      );
      return measured?.gapM ?? Number.NaN;
    };
    for (const seed of [1, 2, 3]) {
      const [slow, fast] = [gapFrom(0.1, seed), gapFrom(0.3, seed)];
      // The sensor sits 1 cm behind the bumper; noise stops it early, its lag late.
      expect(slow).toBeGreaterThan(0.16);
      expect(slow).toBeLessThan(0.2);
      expect(fast).toBeLessThan(slow);
      expect(fast).toBeGreaterThan(0.14);
    }
  });
});

describe('a gain in a robot’s own program', () => {
  const timed = { percent: 20, distanceM: 1, durationS: 10 };
  const byPower = {
    ...record,
    program: {
      ...record.program,
      command: 'percent' as const,
      speeds: [timed, { ...timed, percent: 60, durationS: 10 / 3 }],
    },
  };

  it('is a share of its own command for what it reads', () => {
    // 1 m/s is worth 200 %: 100 mm/s a degree is 20 % a degree, and a turn of 1/s so much by the track.
    const hold = tunedInProgram(byPower, 'heading-hold', 0.1 / deg(1));
    expect(hold?.perUnit).toBeCloseTo(20, 6);
    expect(hold?.unit).toBe('% per °');
    expect(tunedInProgram(byPower, 'wall', 10)?.perUnit).toBeCloseTo(10 * 0.01 * 0.12 * 200, 6);
    const balance = tunedInProgram(byPower, 'balance', 8);
    expect(balance?.perUnit).toBeCloseTo((8 * 200 * Math.PI * 0.056) / 360, 6);
    expect(balance?.gainOf(balance.perUnit)).toBeCloseTo(8, 9);
    expect(tunedInProgram(record, 'turn', 4)).toBeNull();
  });
});

describe('where to mount a sensor', () => {
  it('is ahead of the axle, and the place it has is named', () => {
    const study = mountsOf(tunedController('wall'), record);
    expect(study?.mounts[0]).toEqual({ aheadM: 0, good: null });
    expect(study?.sentences.means).toContain('Beside the driven wheels no gain holds');
    expect(study?.sentences.next).toBe('It sits 8 cm ahead: leave it there.');
    const beside = {
      ...record,
      units: record.units.map((unit) =>
        unit.id === 's' ? { ...unit, place: { ...unit.place, aheadM: 0 } } : unit,
      ),
    };
    expect(mountsOf(tunedController('wall'), beside)?.sentences.next).toMatch(
      /^It sits 0 cm ahead: move it to [369] cm or more/,
    );
    expect(mountsOf(tunedController('turn'), record)).toBeNull();
  });
});
