import { describe, expect, it } from 'vitest';
import { lostEchoes } from '../../src/core/ranging/lostEchoes';
import { randomStream } from '../../src/core/stats/random';

const CHANNEL = 'distanceM:front';

/** A battery that sags from 8.3 to 6.9 V; below a voltage a share of the echoes is lost. */
function log(failsBelowV: number, { lostShare = 0.1, n = 8000, every = 1, seed = 1 } = {}) {
  const random = randomStream(seed, 0, 'echoes');
  const volts = Float64Array.from({ length: n }, (_, i) => 8.3 - (1.4 * i) / n);
  const distances = volts.map((v, i) =>
    i % every !== 0 || (v < failsBelowV && random.uniform() < lostShare) ? Number.NaN : 0.5,
  );
  return {
    tS: Float64Array.from({ length: n }, (_, i) => 0.05 * i),
    columns: { volts, [CHANNEL]: distances },
  };
}

describe('echoes that are lost as the battery sags', () => {
  it('tells the voltage at which to change it', () => {
    const found = lostEchoes(log(7.5), CHANNEL);
    expect(found.changeAtV).toBeGreaterThanOrEqual(7.4);
    expect(found.changeAtV).toBeLessThanOrEqual(7.6);
    expect(found.sentences.found).toMatch(/^Change the battery at 7\.[456] V/);
    // Another sensor that is read every third round only: what was not due was not lost.
    const slow = lostEchoes(log(7.5, { every: 3, n: 24_000 }), CHANNEL);
    expect(slow.changeAtV).toBeGreaterThanOrEqual(7.4);
    expect(slow.changeAtV).toBeLessThanOrEqual(7.6);
  });

  it('does not blame a battery for what is lost at any voltage under one in a hundred', () => {
    const found = lostEchoes(log(9, { lostShare: 0.004 }), CHANNEL);
    expect(found.changeAtV).toBeNull();
    expect(found.sentences.means).toMatch(
      /^\d+ of (8000|79\d\d) echoes were lost; at most 0\.[3-9] % are/,
    );
    const falsely = Array.from(
      { length: 60 },
      (_, seed) => lostEchoes(log(9, { lostShare: 0.004, n: 3000, seed }), CHANNEL).changeAtV,
    ).filter((volts) => volts !== null);
    expect(falsely.length).toBeLessThanOrEqual(6);
  });

  it('says what a log lacks', () => {
    const { tS, columns } = log(7.5);
    expect(() => lostEchoes({ tS, columns: { volts: columns.volts } }, CHANNEL)).toThrow(
      'The log holds no such distance.',
    );
    expect(() => lostEchoes({ tS, columns: { [CHANNEL]: columns[CHANNEL] } }, CHANNEL)).toThrow(
      'does not hold the battery’s volts',
    );
    expect(() => lostEchoes(log(9, { lostShare: 1 }), CHANNEL)).toThrow(/Hardly any echo came/);
  });
});
