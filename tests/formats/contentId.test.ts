import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { contentId, contentOf } from '../../src/formats/contentId';

const ROBOT = '01DEMR00000000000000000001';

describe('the identifier of a log by what it holds', () => {
  const readings = fc.array(fc.double({ noNaN: true }), { minLength: 1, maxLength: 50 });

  it('is the same for the same readings, whichever column comes first', () => {
    fc.assert(
      fc.property(readings, readings, (heading, distance) => {
        const tS = Float64Array.from(heading, (_, i) => i / 100);
        const [a, b] = [Float64Array.from(heading), Float64Array.from(distance)];
        const one = contentOf({ tS, columns: { headingRad: a, rateRadPerS: b } });
        expect(contentOf({ tS, columns: { rateRadPerS: b, headingRad: a } })).toBe(one);
      }),
    );
  });

  it('is another for any changed reading and for another robot', () => {
    fc.assert(
      fc.property(readings, fc.nat(), (heading, at) => {
        const tS = Float64Array.from(heading, (_, i) => i / 100);
        const changed = heading.with(at % heading.length, (heading[at % heading.length] ?? 0) + 1);
        fc.pre(changed.some((value, i) => value !== heading[i]));
        const one = contentOf({ tS, columns: { headingRad: Float64Array.from(heading) } });
        const other = contentOf({ tS, columns: { headingRad: Float64Array.from(changed) } });
        expect(other).not.toBe(one);
        expect(contentId(one, ROBOT)).not.toBe(contentId(one, ROBOT.replace('1', '2')));
        expect(contentId(one, ROBOT)).toMatch(/^0[0-9A-HJKMNP-TV-Z]{25}$/);
      }),
    );
  });
});
