import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { planRoute } from '../../src/core/course/plan';
import { prepare } from '../../src/core/forecast/prepare';
import { simulateRun } from '../../src/core/forecast/run';
import { createMachine } from '../../src/core/machine/machine';
import { matColourAt } from '../../src/core/table/mat';
import { tableSchema } from '../../src/core/table/table';
import { bareTable, idealRobot, routeOf, withDevice } from './support';

const COLOURS = ['#ffffff', '#000000', '#c81e1e'];

/** Cells of a picture as rows of a record, counted one by one. */
const asRow = (cells: readonly number[]): string => {
  let text = '';
  for (let i = 0, n = 1; i < cells.length; i += 1, n += 1) {
    if (cells[i] !== cells[i + 1]) [text, n] = [`${text}${n}${'abc'[cells[i] ?? 0]}`, 0];
  }
  return text;
};

describe('a mat', () => {
  it('shows each of its cells where it lies, from the far edge to the near one, and nothing beside it', () => {
    const cells = fc.integer({ min: 1, max: 9 }).chain((columns) =>
      fc.array(
        fc.array(fc.integer({ min: 0, max: 2 }), { minLength: columns, maxLength: columns }),
        {
          minLength: 1,
          maxLength: 8,
        },
      ),
    );
    fc.assert(
      fc.property(cells, fc.boolean(), (picture, isTurnedRound) => {
        const columns = picture[0]?.length ?? 0;
        const [x1M, x2M] = isTurnedRound ? [2.1, 0.3] : [0.3, 2.1];
        const place = { x1M, y1M: 0.1, x2M, y2M: 0.9 };
        const mat = { ...place, columns, colours: COLOURS, rows: picture.map(asRow) };
        expect(tableSchema.parse({ ...bareTable, mat }).mat).toEqual(mat);
        picture.forEach((row, r) =>
          row.forEach((cell, c) => {
            const xM = 0.3 + (1.8 * (c + 0.5)) / columns;
            const yM = 0.9 - (0.8 * (r + 0.5)) / picture.length;
            expect(matColourAt(mat, xM, yM)).toBe(COLOURS[cell]);
          }),
        );
        expect(matColourAt(mat, 0.29, 0.5)).toBeNull();
        expect(matColourAt(mat, 1, 0.95)).toBeNull();
      }),
    );
  });

  it('is refused with the row and what is wrong with it', () => {
    const said = (rows: string[]) => {
      const place = { x1M: 0, y1M: 0, x2M: 1, y2M: 1 };
      const mat = { ...place, columns: 4, colours: COLOURS, rows };
      const { error } = tableSchema.safeParse({ ...bareTable, mat });
      return error?.issues.map(({ path, message }) => `${path.join('.')} ${message}`).join('; ');
    };
    expect(said(['4a', '1a3b'])).toBeUndefined();
    expect(said(['4a', '1a2b'])).toBe('mat.rows.1 has 3 cells where the mat has 4 columns');
    expect(said(['4d'])).toContain('names the colour "d", which is not among the 3 of the mat');
    expect(said(['four'])).toContain('expected cells and their colour');
  });

  it('is read, come to and followed as the same line that is drawn', () => {
    const robot = withDevice(idealRobot, {
      kind: 'light sensor',
      id: 'l',
      label: 'L',
      place: { aheadM: 0.06, leftM: 0.02 },
      behaviour: { noiseShare: 0, spotDiameterM: 0.012 },
    });
    // A bar from x = 1.2 to 1.22, and one along y = 0.6 to 0.62, in cells of a centimetre.
    const bar = { x1M: 1.21, y1M: 0.8, x2M: 1.21, y2M: 1.6, widthM: 0.02 };
    const rail = { x1M: 0.4, y1M: 0.61, x2M: 1.8, y2M: 0.61, widthM: 0.02 };
    const rows = Array.from({ length: 180 }, (_, fromTop) => {
      const yCm = 179 - fromTop;
      const isDark = (xCm: number) =>
        (yCm >= 79 && yCm < 161 && (xCm === 120 || xCm === 121)) ||
        ((yCm === 60 || yCm === 61) && xCm >= 39 && xCm < 181);
      return asRow(Array.from({ length: 240 }, (_c, xCm) => (isDark(xCm) ? 1 : 0)));
    });
    const size = { ...bareTable, widthM: 2.4, heightM: 1.8 };
    const drawn = tableSchema.parse({ ...size, lines: [bar, rail] });
    const mat = { x1M: 0, y1M: 0, x2M: 2.4, y2M: 1.8, columns: 240, colours: COLOURS, rows };
    const printed = tableSchema.parse({ ...size, mat });
    fc.assert(
      fc.property(
        fc.double({ min: 1.1, max: 1.25, noNaN: true }),
        fc.double({ min: 0.9, max: 1.5, noNaN: true }),
        fc.double({ min: -3, max: 3, noNaN: true }),
        (xM, yM, headingRad) => {
          const [a, b] = [drawn, printed].map((on) =>
            createMachine(robot, on, { xM, yM, headingRad }, 1, 0).read({
              unitId: 'l',
              channel: 'light',
            }),
          );
          expect(a).toBeCloseTo(b ?? NaN, 6);
        },
      ),
    );
    const routes = [
      [[{ kind: 'to-line', on: 'leaving', speedMPerS: 0.1 }], { xM: 0.8, yM: 1, headingRad: 0.2 }],
      [
        [{ kind: 'follow-line', sensor: 'L', lengthM: 0.5, speedMPerS: 0.12 }],
        { xM: 0.6, yM: 0.5983, headingRad: 0 },
      ],
    ] as const;
    for (const [steps, from] of routes) {
      const route = routeOf(
        steps.map((step, i) => ({ id: `s${i}`, ...step })),
        from,
      );
      const [asDrawn, asPrinted] = [drawn, printed].map((table) => {
        const simulation = { robot, table, route, seed: 1 };
        return {
          planned: planRoute(route, robot, table).at(-1),
          end: simulateRun(simulation, prepare(simulation), 0).end,
        };
      });
      expect(asPrinted?.end).toEqual(asDrawn?.end);
      expect(asPrinted?.end.failure).toBeNull();
      expect(asPrinted?.planned?.problems).toEqual([]);
      expect(asPrinted?.planned?.to.xM).toBeCloseTo(asDrawn?.planned?.to.xM ?? NaN, 3);
      expect(asPrinted?.planned?.to.xM).toBeCloseTo(asPrinted?.end.xM ?? NaN, 3);
    }
  });
});
