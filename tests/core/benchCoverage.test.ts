import { describe, expect, it } from 'vitest';
import { BENCH_KINDS, benchCoverage } from '../../scripts/lib/benchCoverage';

describe('intervals of the Bench hold the truth', () => {
  // Standard error of a share of 500 benches: 0.01.
  it.each(BENCH_KINDS.map((kind) => [kind.name, kind] as const))('%s', (_, kind) => {
    const share = benchCoverage(kind, 500, 7);
    expect(share).toBeGreaterThan(0.92);
    expect(share).toBeLessThan(0.985);
  });
});
