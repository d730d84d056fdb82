import { describe, expect, it } from 'vitest';
import { headingAxis, motorsDisturb, zeroedByStart } from '../../src/core/gyro/headingTests';
import { headingTestsText } from '../../src/core/gyro/headingTestsText';
import { draws, least } from '../support/draws';
import { otherNoise } from '../support/otherNoise';
import { deg } from './support';

const angle = (name: string, before: number, after: number) => ({
  name,
  beforeRad: deg(before),
  afterRad: deg(after),
});

describe('which reported angle is the heading', () => {
  it('is the one that turned by a quarter, with its sign, also over the seam', () => {
    const flat = [angle('yaw', 10, 97), angle('pitch', 1, 2), angle('roll', 0, -1)];
    expect(headingAxis(flat).found).toEqual({ name: 'yaw', sign: 1 });
    // A controller on its side: its roll is what turns with the robot, the other way round.
    const upright = [angle('yaw', 4, 6), angle('pitch', 89, 90), angle('roll', 10, 280)];
    expect(headingAxis(upright).found).toEqual({ name: 'roll', sign: -1 });
    expect(headingAxis([angle('yaw', 170, -100)]).found).toEqual({ name: 'yaw', sign: 1 });
  });

  it('says when none or two turned, and when another moved as well', () => {
    expect(headingAxis([angle('yaw', 0, 10), angle('pitch', 0, 1)]).found).toBeNull();
    const twice = headingAxis([angle('yaw', 0, 90), angle('heading', 0, -88)]);
    expect(twice.found).toBeNull();
    expect(twice.sentence).toContain('“yaw” and “heading” both turned');
    const crooked = headingAxis([angle('yaw', 0, 85), angle('pitch', 0, 30)]);
    expect(crooked.found?.name).toBe('yaw');
    expect(crooked.sentence).toContain('“pitch” moved by 30° as well');
  });
});

describe('whether a start zeroes the heading', () => {
  it('tells zeroing from keeping, and refuses what proves nothing', () => {
    expect(zeroedByStart(deg(40), deg(1)).found).toBe('zeroes');
    expect(zeroedByStart(deg(40), deg(41)).found).toBe('keeps');
    expect(zeroedByStart(deg(320), deg(0)).found).toBe('zeroes');
    expect(zeroedByStart(deg(3), deg(0)).found).toBeNull();
    expect(zeroedByStart(deg(359), deg(0)).found).toBeNull();
    expect(zeroedByStart(deg(40), deg(90)).sentence).toContain('was it moved?');
  });
});

describe('whether running motors disturb the heading', () => {
  /** Two readings of a sensor made up here: it drifts, wanders by itself, and shows whole degrees. */
  const read = (seed: number, driftDegPerS: number, durationS: number) => {
    const { uniform, normal } = otherNoise(seed);
    const from = 40 * uniform();
    const until = from + driftDegPerS * durationS + 0.02 * Math.sqrt(durationS) * normal();
    return { fromRad: deg(Math.round(from)), untilRad: deg(Math.round(until)), durationS };
  };
  const asked = (seed: number, pushDegPerS: number) =>
    motorsDisturb(read(2 * seed, 0.03, 15), read(2 * seed + 1, 0.03 + pushDegPerS, 15), deg(1));

  it('its interval holds the truth, and a push is found where it is larger than reading in steps', () => {
    const N = draws(800);
    let [held, falsely] = [0, 0];
    for (let i = 1; i <= N; i += 1) {
      const { found } = asked(i, 0);
      if (found !== null && found.low95 <= 0 && found.high95 >= 0) held += 1;
      else falsely += 1;
    }
    expect(held / N).toBeGreaterThan(least(0.95, N));
    expect(falsely / N).toBeLessThan(0.08);
    expect(asked(1, 0.3).sentence).toContain('Running motors push the heading by');
    expect(asked(1, 0).sentence).toContain('not proved to disturb it');
  });

  it('all three are said in a line, what was not tested is left out', () => {
    const motors = { driftRadPerS: deg(0.3), low95: deg(0.2), high95: deg(0.4) };
    const all = { kind: 'heading-tests', axis: { name: 'roll', sign: -1 }, motors } as const;
    expect(headingTestsText({ ...all, start: 'keeps' })).toMatch(
      /^“roll” is the heading, shrinking to the left; a start leaves it as it was; running motors push it by/,
    );
    expect(headingTestsText({ ...all, axis: null, start: 'zeroes', motors: null })).toBe(
      'a start zeroes it',
    );
  });
});
