import { describe, expect, it } from 'vitest';
import { gainTrace } from '../../src/core/tuning/gainTrace';
import { nextGain, type TriedGain } from '../../src/core/tuning/nextGain';
import { wallTrace } from '../../src/core/tuning/wallTrace';
import { randomStream } from '../../src/core/stats/random';
import { recordedText } from '../support/recorded';
import { deg } from './support';

/** The columns of a recorded file, without the rows in which one is missing. */
function columnsOf(file: string): Record<string, number[]> {
  const [head = '', ...lines] = recordedText(file).trim().split('\n');
  const rows = lines.map((line) => line.trim().split(',')).filter((cells) => !cells.includes(''));
  return Object.fromEntries(
    head
      .trim()
      .split(',')
      .map((title, i) => [title, rows.map((cells) => Number(cells[i]))]),
  );
}

const VERDICTS = ['too-weak', 'good', 'too-strong', 'wrong-sign'] as const;

describe('recorded traces', () => {
  it.each(VERDICTS.map((verdict, i) => [i + 1, verdict] as const))(
    'of following a wall, the %i. is %s',
    (n, verdict) => {
      const {
        t_s = [],
        reading_cm = [],
        correction_deg_per_s = [],
      } = columnsOf(`wall-follow-${n}.csv`);
      const found = wallTrace(
        {
          tS: t_s,
          readingM: reading_cm.map((cm) => cm / 100),
          correctionRadPerS: correction_deg_per_s.map(deg),
        },
        0.1,
        'right',
      );
      expect(found?.verdict).toBe(verdict);
      expect(Math.sign(found?.proposedGainFactor ?? 0)).toBe(verdict === 'wrong-sign' ? -1 : 1);
    },
  );

  it.each(VERDICTS.map((verdict, i) => [i + 1, verdict] as const))(
    'of a pushed heading hold, the %i. is %s, whichever way it is counted',
    (n, verdict) => {
      const {
        t_s = [],
        error_deg = [],
        correction_deg_per_s = [],
      } = columnsOf(`push-recover-${n}.csv`);
      const error = error_deg.map(deg);
      const correction = correction_deg_per_s.map(deg);
      const found = gainTrace({ tS: t_s, error, correction });
      expect(found?.verdict).toBe(verdict);
      const other = gainTrace({ tS: t_s, error: error.map((one) => -one), correction });
      expect(other?.verdict).toBe(verdict);
      if (verdict === 'too-weak') expect(found?.proposedGainFactor).toBeGreaterThan(1.4);
      if (verdict === 'too-strong') expect(found?.proposedGainFactor).toBeLessThan(1);
    },
  );
});

/** A heading with a first-order lag in its rate, held by a gain after a push; a correction is limited. */
function pushed(gain: number, { lagS = 0.06, delayS = 0.03, seed = 1 } = {}) {
  const random = randomStream(seed, 1, 'push');
  const P = 0.01;
  const delay = Math.round(delayS / P);
  const tS: number[] = [];
  const error: number[] = [];
  const correction: number[] = [];
  let heading = deg(8);
  let rate = 0;
  const wanted: number[] = [];
  for (let i = 0; i < 800; i += 1) {
    const e = heading + deg(0.05) * random.normal();
    const c = Math.max(-3, Math.min(3, -gain * e));
    wanted.push(c);
    tS.push(i * P);
    error.push(e);
    correction.push(c);
    rate += (((wanted[i - delay] ?? 0) - rate) * P) / lagS;
    heading += rate * P;
    if (Math.abs(heading) > 2) break;
  }
  return { tS, error, correction };
}

describe('proposals', () => {
  it.each([
    [25, 0.02],
    [0.25, 0.02],
    [-2.5, 0.02],
    [40, 0.05],
    [0.15, 0.08],
    [-8, 0.06],
  ])('from a gain of %d (lag %d s) come to a good one within five', (start, lagS) => {
    for (let seed = 1; seed <= 5; seed += 1) {
      const tried: TriedGain[] = [];
      let gain = start;
      for (let i = 0; i <= 5; i += 1) {
        const found = gainTrace(pushed(gain, { lagS, seed }));
        if (found === null) throw new Error(`gain ${gain}: too short to tell`);
        tried.push({ gain, ...found });
        if (found.verdict === 'good') break;
        gain = nextGain(tried);
      }
      expect(tried.map(({ verdict }) => verdict).at(-1)).toBe('good');
      expect(tried.length - 1).toBeLessThanOrEqual(5);
    }
  });

  it('lie between what was too weak and what was too strong', () => {
    const weak = { gain: 1, verdict: 'too-weak', proposedGainFactor: 6 } as const;
    const strong = { gain: 4, verdict: 'too-strong', proposedGainFactor: 0.1 } as const;
    expect(nextGain([strong, weak])).toBeCloseTo(2, 9);
    expect(nextGain([weak, strong])).toBeCloseTo(2, 9);
    expect(nextGain([weak])).toBe(6);
    const turned = { gain: 2, verdict: 'wrong-sign', proposedGainFactor: -1 } as const;
    expect(nextGain([turned])).toBe(-2);
  });

  it('are not made from a trace that shows nothing, or ends too soon', () => {
    const flat = Array.from({ length: 100 }, (_, i) => i / 100);
    expect(
      gainTrace({ tS: flat, error: flat.map(() => 0), correction: flat.map(() => 0) }),
    ).toBeNull();
    const { tS, error, correction } = pushed(0.3);
    const cut = (values: number[]) => values.slice(0, 60);
    expect(gainTrace({ tS: cut(tS), error: cut(error), correction: cut(correction) })).toBeNull();
  });
});
