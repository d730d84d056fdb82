import { describe, expect, it } from 'vitest';
import { PLAIN_DISPLAY, setDisplaySettings } from '../../src/core/text/displaySettings';
import { errorLength } from '../../src/core/text/quantities';
import { remembered } from '../../src/server/services/remembered';

describe('what was computed lately', () => {
  it('is not computed again, and anything that it follows from asks anew', () => {
    const asked: number[][] = [];
    const sum = remembered((numbers: number[]) => {
      asked.push(numbers);
      return numbers.reduce((a, b) => a + b, 0);
    });
    expect([sum([1, 2]), sum([1, 2]), sum([2, 1]), sum([1, 2])]).toEqual([3, 3, 3, 3]);
    expect(asked).toEqual([
      [1, 2],
      [2, 1],
    ]);
  });

  it('is computed anew when the team wants it said in another way', () => {
    const said = remembered((metres: number) => errorLength(metres));
    expect(said(0.0254)).toBe('25 mm');
    setDisplaySettings({ ...PLAIN_DISPLAY, length: 'in' });
    expect(said(0.0254)).toBe('1.00 in');
    setDisplaySettings(PLAIN_DISPLAY);
    expect(said(0.0254)).toBe('25 mm');
  });

  it('does not grow for ever', () => {
    let computed = 0;
    const same = remembered((n: number) => {
      computed += 1;
      return n;
    });
    for (let n = 0; n < 300; n += 1) same(n);
    same(299);
    expect(computed).toBe(300);
    // The first has been forgotten, and is right all the same.
    expect(same(0)).toBe(0);
    expect(computed).toBe(301);
  });
});
