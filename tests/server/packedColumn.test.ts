import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { packColumn, unpackColumn } from '../../src/server/packedColumn';

describe('a channel as it is kept', () => {
  it('comes back to the last bit, gaps and all', () => {
    fc.assert(
      fc.property(fc.float64Array(), (values) => {
        const back = unpackColumn(packColumn(values));
        expect(back.length).toBe(values.length);
        expect(back.every((value, i) => Object.is(value, values[i]))).toBe(true);
      }),
    );
  });

  it('of a sensor that reads in steps takes a fraction of the room', () => {
    const heading = Float64Array.from({ length: 8000 }, (_, i) => Math.round(i / 40) * 0.00174533);
    expect(packColumn(heading).length).toBeLessThan(0.1 * heading.byteLength);
  });

  it('that was cut off is refused', () => {
    const packed = packColumn([1, 2, 3, Number.NaN]);
    expect(() => unpackColumn(packed.subarray(0, packed.length - 3))).toThrow();
  });
});
