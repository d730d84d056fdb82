import { describe, expect, it } from 'vitest';
import { randomStream } from '../../src/core/stats/random';
import { wallsEnd, wallsEndSentence } from '../../src/core/walls/wallsEnd';

const CHANNEL = 'distanceM:side';

/** Beside a wall, with a share of lost echoes, and beyond its end. */
function log(lostShare: number, n = 600, beyond = 40, seed = 1) {
  const random = randomStream(seed, 0, 'wall');
  const values = Float64Array.from({ length: n + beyond }, (_, i) =>
    i >= n || (i > 0 && i < n - 1 && random.uniform() < lostShare) ? Number.NaN : 0.1,
  );
  return { tS: values.map((_, i) => 0.02 * i), columns: { [CHANNEL]: values } };
}

describe('the end of a wall', () => {
  it('is a longer row of missing echoes the more are lost beside it', () => {
    const [few, many] = [wallsEnd(log(0.01), CHANNEL), wallsEnd(log(0.15), CHANNEL)];
    expect(few?.missingInRow).toBeGreaterThanOrEqual(2);
    expect(many?.missingInRow).toBeGreaterThan(few?.missingInRow ?? 99);
    expect(many?.missingInRow).toBeGreaterThan(many?.longestRow ?? 99);
    expect(few?.delayS).toBeCloseTo(0.02 * (few?.missingInRow ?? 0), 9);
  });

  it('is told too early in about one of a hundred runs at most', () => {
    const { missingInRow = 0 } = wallsEnd(log(0.08), CHANNEL) ?? {};
    const falsely = Array.from({ length: 1000 }, (_, seed) => {
      const values = log(0.08, 500, 0, 100 + seed).columns[CHANNEL] ?? new Float64Array();
      let row = 0;
      return values.some((value) => {
        row = Number.isNaN(value) ? row + 1 : 0;
        return row >= missingInRow;
      });
    }).filter(Boolean);
    expect(falsely.length).toBeLessThanOrEqual(15);
  });

  it('is said with how far past it that is, and not from a log without a wall', () => {
    const found = wallsEnd(log(0), CHANNEL);
    if (found === null) throw new Error('no wall');
    expect(wallsEndSentence(found, 0.2)).toMatch(
      /^The wall’s end: \d missing echoes in a row, never one alone \(0\.0 % were lost here, at most 0 in a row\)\. So it is told \d+ ms after the end, \d+ mm past it\./,
    );
    expect(wallsEnd(log(0.9), CHANNEL)).toBeNull();
    expect(wallsEnd(log(0, 20), CHANNEL)).toBeNull();
    expect(wallsEnd(log(0), 'distanceM:front')).toBeNull();
  });
});
