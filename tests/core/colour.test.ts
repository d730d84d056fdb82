import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { colourName } from '../../src/core/colour/name';
import { luminance, reflectedBy } from '../../src/core/colour/reflected';
import { tableSchema } from '../../src/core/table/table';
import { darknessUnder } from '../../src/core/sensing/light';
import { underSpot } from '../../src/core/sensing/underSpot';

const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);

describe('a colour', () => {
  it('gives back what the transfer function of screens says', () => {
    // Middle grey: 18 % of the light looks half as bright as white, which is byte 118 (published tables of sRGB).
    expect(reflectedBy('#767676').green).toBeCloseTo(0.1812, 4);
    expect(reflectedBy('#ff0001')).toEqual({ red: 1, green: 0, blue: 1 / 255 / 12.92 });
    expect(luminance(reflectedBy('#ffffff'))).toBeCloseTo(1, 12);
    expect(luminance(reflectedBy('#0000ff'))).toBeCloseTo(0.0722, 12);
  });

  it('has the word that people would say', () => {
    const words = ['#d01010', '#10a040', '#1040c0', '#fff050', '#202020', '#fdfdfd', '#ff8800'].map(
      colourName,
    );
    expect(words).toEqual(['red', 'green', 'blue', 'yellow', 'black', 'white', 'orange']);
  });
});

describe('the floor under a sensor', () => {
  const table = tableSchema.parse({
    widthM: 2,
    heightM: 1,
    lines: [{ x1M: 0.5, y1M: 0, x2M: 0.5, y2M: 1, widthM: 0.02 }],
    fields: [
      { x1M: 0.4, y1M: 0.2, x2M: 1, y2M: 0.8, colour: '#c81e1e' },
      { x1M: 1.2, y1M: 0.6, x2M: 0.9, y2M: 0.4, colour: '#1f4fb0' },
    ],
  });
  const colours = (xM: number, yM: number) =>
    underSpot(table, { xM, yM }, 0.01).map(({ colour }) => colour);

  it('is a line on a field on an earlier field on the bare floor, whichever corners were told', () => {
    expect(colours(0.2, 0.5)).toEqual(['#ffffff']);
    expect(colours(0.7, 0.5)).toEqual(['#c81e1e']);
    expect(colours(0.95, 0.5)).toEqual(['#1f4fb0']);
    expect(colours(0.5, 0.5)).toEqual(['#000000']);
    expect(new Set(colours(0.4, 0.5))).toEqual(new Set(['#ffffff', '#c81e1e']));
  });

  it('is a whole wherever one looks, and a light sensor tells it between line and floor', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 2, noNaN: true }), hex, (xM, floorColour) => {
        const at = { xM, yM: 0.5 };
        const shares = underSpot({ ...table, floorColour }, at, 0.012);
        expect(shares.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 12);
        const darkness = darknessUnder(table, at, 0.012);
        expect(darkness).toBeGreaterThanOrEqual(0);
        expect(darkness).toBeLessThanOrEqual(1);
      }),
    );
    // Half over the edge of a field that gives back a fifth of the light is half as dark as it.
    const grey = {
      ...table,
      lines: [],
      fields: [{ x1M: 1, y1M: 0, x2M: 2, y2M: 1, colour: '#7b7b7b' }],
    };
    const whole = darknessUnder(grey, { xM: 1.5, yM: 0.5 }, 0.02);
    expect(whole).toBeCloseTo(1 - 0.1981, 3);
    expect(darknessUnder(grey, { xM: 1, yM: 0.5 }, 0.02) / whole).toBeCloseTo(0.5, 1);
  });
});
