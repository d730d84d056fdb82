import { describe, expect, it } from 'vitest';
import {
  bothModesApartS,
  modeSwitch,
  switchedIn,
  switchFromWatch,
} from '../../src/core/loop/modeSwitch';
import { switchSentences } from '../../src/core/loop/modeSwitchWords';
import { draws, least } from '../support/draws';
import { otherNoise } from '../support/otherNoise';

/** A log made up here of a sensor in two modes by turns: a switch costs so long, then so many readings are old. */
function inTurn(of: { switchS: number; old: number; each: number; phases: number }, seed: number) {
  const { uniform } = otherNoise(seed);
  const [tS, a, b]: number[][] = [[], [], []];
  let t = 0;
  const last = [Number.NaN, Number.NaN];
  for (let phase = 0; phase < of.phases; phase += 1) {
    const mode = phase % 2;
    for (let k = 0; k < of.each; k += 1) {
      const before = last[mode] ?? Number.NaN;
      const value = k < of.old && !Number.isNaN(before) ? before : uniform();
      last[mode] = value;
      tS?.push(t);
      a?.push(mode === 0 ? value : Number.NaN);
      b?.push(mode === 1 ? value : Number.NaN);
      t += 0.01;
    }
    t += of.switchS;
  }
  return {
    tS: Float64Array.from(tS ?? []),
    a: Float64Array.from(a ?? []),
    b: Float64Array.from(b ?? []),
  };
}

describe('switching a sensor between two modes', () => {
  it('its time and its old readings are found in a log where they take turns', () => {
    for (const [switchS, old] of [
      [0.06, 0],
      [0.1, 2],
      [0, 1],
    ] as const) {
      const { tS, a, b } = inTurn({ switchS, old, each: 6, phases: 9 }, 3);
      const found = modeSwitch(tS, a, b);
      expect(found?.switches).toBe(8);
      expect(found?.usualS).toBeCloseTo(switchS, 9);
      expect(found?.worstS).toBeCloseTo(switchS, 9);
      expect(found?.oldReadings).toBe(old);
      expect(switchedIn({ tS, columns: { light: a, red: b } })?.keys).toEqual(['light', 'red']);
    }
  });

  it('a sensor that always reads both, or is switched once, tells nothing of it', () => {
    const { tS, a } = inTurn({ switchS: 0, old: 0, each: 20, phases: 1 }, 4);
    expect(switchedIn({ tS, columns: { light: a, red: a } })).toBeNull();
    const once = inTurn({ switchS: 0.1, old: 0, each: 20, phases: 2 }, 5);
    expect(modeSwitch(once.tS, once.a, once.b)).toBeNull();
  });

  it('by a stopwatch the truth lies within what two presses leave open', () => {
    const N = draws(800);
    let held = 0;
    for (let i = 0; i < N; i += 1) {
      const { normal } = otherNoise(40 + i);
      const press = () => (0.3 / 1.96) * normal();
      const [switches, switchS] = [20, 0.07];
      const timed = {
        switches,
        withS: 0.5 + switches * switchS + press(),
        withoutS: 0.5 + press(),
      };
      const { low95, high95 } = switchFromWatch(timed);
      if (switchS >= low95 && switchS <= high95) held += 1;
    }
    expect(held / N).toBeGreaterThan(least(0.95, N));
  });

  it('a look in each mode waits for both switches and what is old after them', () => {
    expect(bothModesApartS(0.06, 1, 0.01)).toBeCloseTo(0.16, 9);
    const time = { value: 0.06, low95: 0.05, high95: 0.07 };
    const { found, means, next } = switchSentences(time, 1, {
      sensorPeriodS: 0.01,
      speedMPerS: 0.2,
    });
    expect(found).toBe(
      'Switching takes 60 ms (50 to 70 ms); the first reading after that still is of before.',
    );
    expect(means).toContain('every 160 ms: at 20 cm/s it drives 32 mm in between');
    expect(next).toContain('throw one reading away');
  });
});
