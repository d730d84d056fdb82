import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { median } from '../../src/core/stats/median';
import { parseDecimal } from '../../src/core/text/decimal';

describe('numbers as people type them', () => {
  it.each<[string, number]>([
    ['1.5', 1.5],
    ['1,5', 1.5],
    [' −0,25 ', -0.25],
    ['+3', 3],
    [',5', 0.5],
    ['2.', 2],
    ['1,2e-3', 0.0012],
  ])('are read: %s', (text, value) => {
    expect(parseDecimal(text)).toBe(value);
  });

  it.each(['', '-', 'abc', '1,234.5', '1.2.3', '0x10', 'Infinity', '1 000', '12cm'])(
    'are none: “%s”',
    (text) => {
      expect(parseDecimal(text)).toBeNaN();
    },
  );
});

describe('the median', () => {
  it('has as many values above as below, whatever their order', () => {
    expect(median([3, 1, 2])).toBe(2);
    expect(median([4, 1, 3, 2])).toBe(2.5);
    expect(median([])).toBeNaN();
    fc.assert(
      fc.property(fc.array(fc.integer(), { minLength: 1 }), (values) => {
        const middle = median(values);
        const below = values.filter((value) => value < middle).length;
        const above = values.filter((value) => value > middle).length;
        expect(Math.max(below, above)).toBeLessThanOrEqual(values.length / 2);
      }),
    );
  });
});
