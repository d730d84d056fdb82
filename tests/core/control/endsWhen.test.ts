import { describe, expect, it } from 'vitest';
import { endsWhen } from '../../../src/core/control/endsWhen';

describe('what ends a motion when a reading passes a value', () => {
  const endsAfter = (
    passes: 'below' | 'above',
    confirmations: number,
    ...reads: (number | null)[]
  ): number => {
    const isOver = endsWhen({
      of: { unitId: 'X1', channel: 'light' },
      passes,
      value: 0.5,
      confirmations,
    });
    const still = { timeS: 0, headingRad: 0, leftM: 0, rightM: 0 };
    return reads.findIndex((reading) => isOver({ ...still, reading: () => reading }));
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
    const isOver = endsWhen({ of: null, passes: 'above', value: 0, confirmations: 1 });
    const reads = { timeS: 0, headingRad: 0, leftM: 0, rightM: 0, reading: () => 1 };
    expect(isOver(reads)).toBe(false);
  });
});
