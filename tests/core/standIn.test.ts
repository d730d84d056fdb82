import { describe, expect, it } from 'vitest';
import { act, CannotDo, type StandInAction } from '../../src/core/standIn/act';
import { standInView } from '../../src/core/standIn/view';
import { readingsBetween } from '../../src/core/standIn/readings';
import { effectiveStop, secretsOf } from '../../src/core/standIn/secrets';
import { newStandIn, standInSchema, standInTime, type StandIn } from '../../src/core/standIn/state';
import { standInTruth } from '../../src/core/standIn/truth';
import { walkAt } from '../../src/core/standIn/walk';
import { stillCheck } from '../../src/core/gyro/still/stillCheck';
import { pipit } from '../../src/server/demo/scenario';
import { lookingAhead } from '../../src/core/devices/ofRobot';
import { deg } from './support';

const truth = standInTruth(pipit, 42);
/** On a stepped clock, after some actions. */
const after = (...actions: StandInAction[]): StandIn =>
  actions.reduce(
    (state, action) => act(state, truth, action, 0),
    act(newStandIn('R', pipit, 42, 0), truth, { do: 'set-clock', rate: 0 }, 0),
  );
const now = (state: StandIn) => standInTime(state, 0);
const wait = (durationS: number): StandInAction => ({ do: 'advance', durationS });
const on = (inHand: boolean): StandInAction => ({ do: 'power-on', inHand });

describe('the stand-in robot', () => {
  it('drifts when it was switched on in the hand, and not when it lay still', () => {
    const drift = (state: StandIn) => {
      const readings = readingsBetween(truth, state, now(state) - 60, now(state));
      return stillCheck(
        {
          kind: 'heading',
          tS: Float64Array.from(readings, ({ tS }) => tS),
          headingRad: Float64Array.from(
            readings,
            ({ headingRad }) => truth.signs.heading * (headingRad ?? 0),
          ),
        },
        150,
        deg(2),
      ).driftRadPerS;
    };
    const still = drift(after(on(false), wait(400)));
    const carried = drift(after(on(true), wait(400)));
    expect(Math.abs(still)).toBeLessThan(deg(0.03));
    expect(Math.abs(carried)).toBeGreaterThan(deg(0.2));
    expect(
      Math.abs(drift(after(on(true), wait(5), { do: 'power-off' }, on(false), wait(400)))),
    ).toBeLessThan(deg(0.03));
  });

  it('tells everybody the same, whenever they ask, also from its kept form', () => {
    const state = after(on(false), wait(3), { do: 'turn-by-hand', angleRad: deg(90) }, wait(3));
    const whole = readingsBetween(truth, state, 0, 6);
    const inParts = [
      ...readingsBetween(truth, state, 0, 2.5),
      ...readingsBetween(truth, state, 2.5, 6),
    ];
    expect(inParts).toEqual(whole);
    const kept = standInSchema.parse(JSON.parse(JSON.stringify(state)));
    expect(readingsBetween(truth, kept, 0, 6)).toEqual(whole);
    expect(whole.length).toBe(300);
  });

  it('turns and rolls by hand, its encoders with it, in the directions of its build', () => {
    const state = after(
      on(false),
      wait(1),
      { do: 'turn-by-hand', angleRad: deg(90) },
      wait(5),
      { do: 'roll-by-hand', distanceM: 0.2 },
      wait(3),
    );
    const [first] = readingsBetween(truth, state, 0.9, 1);
    const afterTurn = readingsBetween(truth, state, 5.8, 5.9).at(-1);
    const end = readingsBetween(truth, state, now(state) - 0.1, now(state)).at(-1);
    const { signs } = truth;
    expect(signs.heading * ((afterTurn?.headingRad ?? 0) - (first?.headingRad ?? 0))).toBeCloseTo(
      deg(90),
      1,
    );
    expect(signs.leftMotor * (afterTurn?.leftMotorDegrees ?? 0)).toBeLessThan(-100);
    const rolled =
      signs.rightMotor * ((end?.rightMotorDegrees ?? 0) - (afterTurn?.rightMotorDegrees ?? 0));
    expect(rolled).toBeCloseTo((0.2 * 360) / (Math.PI * 0.056), -1);
  });

  it('stops its turns late by its hidden lag', () => {
    const run: StandInAction = {
      do: 'run',
      steps: [
        {
          kind: 'turn',
          angleRad: deg(90),
          how: { school: 'stop-early', rateRadPerS: 1.5, leadRad: 0 },
        },
      ],
    };
    const state = after(on(false), wait(1), run, wait(10));
    const { measured } = standInView(truth, state, 0);
    const { lagS, brakingRadPerS2 } = effectiveStop(truth);
    const late =
      1.5 * (lagS ?? 0) + (brakingRadPerS2 === null ? 0 : 1.5 ** 2 / (2 * brakingRadPerS2));
    expect((measured?.turnedRad ?? 0) - deg(90)).toBeGreaterThan(late - deg(2));
    expect((measured?.turnedRad ?? 0) - deg(90)).toBeLessThan(late + deg(2));
    expect(secretsOf(truth).find(({ name }) => name.startsWith('Turns stop late'))?.value).toMatch(
      /^\d+ ms$/,
    );
  });

  it('reads nothing while it is off, and refuses what cannot be done with a sentence', () => {
    const off = after(wait(5));
    expect(readingsBetween(truth, off, 0, 5)).toEqual([]);
    expect(() => act(off, truth, { do: 'zero' }, 0)).toThrow(CannotDo);
    const moving = after(on(false), wait(1), { do: 'roll-by-hand', distanceM: 0.5 });
    expect(() => act(moving, truth, { do: 'touch' }, 0)).toThrow(/still moving/);
  });

  it('stands where it is when it is switched off on the way, and can be switched on there', () => {
    const rolling = after(on(false), wait(5), { do: 'roll-by-hand', distanceM: 0.5 }, wait(0.75));
    const off = act(rolling, truth, { do: 'power-off' }, 0);
    const view = standInView(truth, off, 0);
    expect(view).toMatchObject({ on: false, moving: false, measured: null });
    expect(view.place?.xM).toBeCloseTo(0.25, 6);
    // What it read until then is not changed by it.
    expect(readingsBetween(truth, off, 0, now(off) - 0.01)).toEqual(
      readingsBetween(truth, rolling, 0, now(rolling) - 0.01),
    );
    const again = [on(false), wait(3)].reduce((state, action) => act(state, truth, action, 0), off);
    expect(standInView(truth, again, 0).place?.xM).toBeCloseTo(0.25, 6);
    expect(readingsBetween(truth, again, now(again) - 0.1, now(again)).length).toBeGreaterThan(0);
  });

  it('lets its battery sag, and its target be seen', () => {
    const fresh = after(on(false), { do: 'set-target', distanceM: 0.5 }, wait(1));
    const old = after(on(false), wait(3600), wait(3600));
    const volts = (state: StandIn) =>
      readingsBetween(truth, state, now(state) - 0.1, now(state)).at(-1)?.volts ?? 0;
    expect(volts(old)).toBeLessThan(volts(fresh) - 0.4);
    const seen = readingsBetween(truth, fresh, 0, 1).flatMap(
      ({ units }) => units.distance_cm ?? [],
    );
    const mean = seen.reduce((sum, value) => sum + value, 0) / seen.length;
    const { offsetM = 0, scale = 1 } = lookingAhead(truth.robot)?.behaviour ?? {};
    expect(mean / 100).toBeCloseTo(offsetM + scale * 0.5, 2);
  });

  it('wanders as a random walk does: the same at every look, of variance as long as the time', () => {
    expect(walkAt(7, 1234)).toBe(walkAt(7, 1234));
    let sum = 0;
    const n = 400;
    for (let seed = 0; seed < n; seed += 1)
      sum += (walkAt(seed, 1100) - walkAt(seed, 1000)) ** 2 / 100;
    expect(sum / n).toBeGreaterThan(0.8);
    expect(sum / n).toBeLessThan(1.25);
  });
});
