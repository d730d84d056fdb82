import fc from 'fast-check';
import Papa from 'papaparse';
import { expect, test } from 'vitest';
import { asCell, csvText, fromCell } from '../../src/formats/csv/csvText';

const odd = fc.string({
  unit: fc.constantFrom(...'=+-@\'";,\n\r\t1.a '),
  maxLength: 12,
});

test('what is written to a cell is read back, whatever it is', () => {
  fc.assert(
    fc.property(odd, (text) => {
      expect(fromCell(asCell(text))).toBe(text);
    }),
    { numRuns: 2000 },
  );
});

test('no cell begins a formula, at whichever mark a spreadsheet splits', () => {
  fc.assert(
    fc.property(odd, odd, (a, b) => {
      const text = csvText(['name', 'note'], [[`x${a}`, b]]);
      for (const delimiter of [',', ';']) {
        for (const cell of Papa.parse<string[]>(text, { delimiter }).data.flat()) {
          expect(cell).not.toMatch(/^[=@\t]|^[+-](?!\d*[.,]?\d+$)/);
        }
      }
    }),
    { numRuns: 2000 },
  );
});
