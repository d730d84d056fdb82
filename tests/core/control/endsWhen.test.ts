import { describe, expect, it } from 'vitest';
import { hasEnded, type EndsWhen } from '../../../src/core/control/endsWhen';

describe('what ends a motion when a reading passes a value', () => {
  const endsAfter = (
    passes: 'below' | 'above',
    confirmations: number,
    ...reads: (number | null)[]
  ): number => {
    const of = { unitId: 'X1', channel: 'light' };
    const ends: EndsWhen = { of, passes, value: 0.5, confirmations };
    const kept = { passed: 0 };
    const still = { timeS: 0, headingRad: 0, leftM: 0, rightM: 0 };
    return reads.findIndex((reading) => hasEnded(ends, kept, { ...still, reading: () => reading }));
  };

  it('takes the value itself, on either side', () => {
    expect(endsAfter('below', 1, 0.7, 0.51, 0.5)).toBe(2);
    expect(endsAfter('above', 1, 0.3, 0.49, 0.5)).toBe(2);
  });

  it('wants its confirmations one after the other; a lost echo counts neither way', () => {
    expect(endsAfter('below', 3, 0.4, 0.4, 0.6, 0.4, 0.4, 0.4)).toBe(5);
    expect(endsAfter('below', 3, 0.4, null, 0.4, null, null, 0.4)).toBe(5);
    expect(endsAfter('below', 2, 0.4, null, null)).toBe(-1);
  });

  it('never comes without the unit that it would read', () => {
    const ends: EndsWhen = { of: null, passes: 'above', value: 0, confirmations: 1 };
    const reads = { timeS: 0, headingRad: 0, leftM: 0, rightM: 0, reading: () => 1 };
    expect(hasEnded(ends, { passed: 0 }, reads)).toBe(false);
  });
});
