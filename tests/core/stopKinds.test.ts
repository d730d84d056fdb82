import { describe, expect, it } from 'vitest';
import { randomStream } from '../../src/core/stats/random';
import { rankSentences, rankStops, type KindTrial } from '../../src/core/ranging/stopKinds';
import type { StopKind } from '../../src/core/ranging/stopsBy';
import { stopStudy } from '../../src/core/ranging/stopStudy';

/** Stops of one kind from two speeds, each with its own overrun, and a scatter. */
function stops(by: StopKind, sdM: number, n: number, seed = 1): KindTrial[] {
  const random = randomStream(seed, 0, by);
  return Array.from({ length: n }, (_, i) => {
    const speedMPerS = i % 2 === 0 ? 0.1 : 0.2;
    const over = 0.1 * speedMPerS + sdM * random.normal();
    return { by, speedMPerS, thresholdM: 0.15, stopM: 0.15 - over };
  });
}

describe('stops of several kinds', () => {
  it('are ranked by their own scatter, whatever they overrun at each speed', () => {
    const ranked = rankStops([
      { by: 'distance', speedMPerS: 0.1, thresholdM: 0.1, stopM: 0.09 },
      { by: 'distance', speedMPerS: 0.1, thresholdM: 0.1, stopM: 0.086 },
      { by: 'distance', speedMPerS: 0.3, thresholdM: 0.1, stopM: 0.04 },
      { by: 'distance', speedMPerS: 0.3, thresholdM: 0.1, stopM: 0.044 },
      { by: 'touch', speedMPerS: 0.1, thresholdM: 0, stopM: -0.001 },
      { by: 'touch', speedMPerS: 0.1, thresholdM: 0, stopM: -0.003 },
      { by: 'line', speedMPerS: 0.2, thresholdM: 0, stopM: -0.01 },
    ]);
    expect(ranked.map(({ by }) => by)).toEqual(['touch', 'distance', 'line']);
    // Two groups of two, 4 mm apart each: 8 + 8 over two degrees of freedom.
    expect(ranked[1]?.sdM).toBeCloseTo(Math.sqrt(8e-6), 9);
    expect(ranked[1]?.degreesOfFreedom).toBe(2);
    // χ² with two degrees of freedom: −2·ln of the share.
    expect(ranked[1]?.sdHigh95M).toBeCloseTo(Math.sqrt((2 * 8e-6) / (-2 * Math.log(0.975))), 4);
    expect(ranked[2]?.sdM).toBeNaN();
    expect(ranked[0]?.lastStretchS).toBeCloseTo(3, 9);
  });

  it('are told apart only where an F test shows it', () => {
    const sure = rankStops([...stops('distance', 0.006, 12), ...stops('touch', 0.001, 12)]);
    expect(rankSentences(sure)?.found).toBe('It stops most alike by touching.');
    expect(rankSentences(sure)?.means).toMatch(/by touching ± .* mm, by the distance sensor ± /);
    const alike = rankStops([...stops('distance', 0.003, 4), ...stops('line', 0.003, 4)]);
    expect(rankSentences(alike)?.found).toContain('which stops more alike is not shown yet');
    expect(rankSentences(rankStops(stops('line', 0.003, 9)))).toBeNull();
  });

  it('are never more alike than a tape can be read', () => {
    const same = { by: 'touch' as const, speedMPerS: 0.1, thresholdM: 0, stopM: 0 };
    const [one] = rankStops([same, same, same]);
    expect(one?.sdM).toBeCloseTo(0.001 / Math.sqrt(12), 9);
    expect(one?.sdHigh95M).toBeGreaterThan(one?.sdM ?? 0);
  });

  it('hold their true scatter in 93 to 98 of 100 intervals', () => {
    const held = Array.from({ length: 500 }, (_, seed) => {
      const [one] = rankStops(stops('encoder', 0.003, 8, seed));
      return one !== undefined && one.sdLow95M <= 0.003 && one.sdHigh95M >= 0.003;
    }).filter(Boolean).length;
    expect(held / 500).toBeGreaterThan(0.93);
    expect(held / 500).toBeLessThan(0.98);
  });

  it('say what to do with where they stand: a gap has a threshold, a mark is looked for earlier', () => {
    const trials = stops('line', 0.0005, 8);
    expect(stopStudy(trials)?.sentences.next).toMatch(/^Say below what gap/);
    const { found = '', next = '' } = stopStudy(trials, 'line')?.sentences ?? {};
    expect(found).toMatch(/^Told to stop at its mark, it stands \d+ mm past it/);
    expect(next).toMatch(/look for its mark so much earlier/);
  });
});
