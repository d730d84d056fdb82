import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { SavedRun } from '../../src/formats/records';
import { readCsvTable, UnreadableFile } from '../../src/formats/csv/csvTable';
import { guessRunColumns, readRuns, writeRunsCsv } from '../../src/formats/csv/runsCsv';
import { missionSchema } from '../../src/core/table/table';

const bytes = (text: string) => new TextEncoder().encode(text);
const mission = missionSchema.parse({
  id: 'm1',
  name: 'bee house',
  pose: { xM: 0, yM: 0, headingRad: 0 },
});
const read = (text: string) => {
  const table = readCsvTable(bytes(text));
  return readRuns(table, guessRunColumns(table.header, [mission]));
};
const problemOf = (text: string) => read(text).map(({ problem }) => problem);

describe('reading runs from a CSV file', () => {
  it('reads a recorded file by the names of its columns', () => {
    const file = readFileSync(join(import.meta.dirname, '../data/runs-before.csv'));
    const table = readCsvTable(file);
    const rows = readRuns(table, guessRunColumns(table.header, []));
    expect(rows).toHaveLength(30);
    expect(rows[1]?.run).toMatchObject({
      placedBy: 'A',
      batteryV: 8.16,
      endXM: 0.009,
      endYM: 0.019,
      worked: false,
    });
  });

  it.each([
    ['an empty file', '', /empty/],
    ['a heading line alone', 'x,y\n', /no rows/],
    ['a NUL', 'x,y\n1,\0', /not a text file/],
  ])('refuses %s with a sentence', (_, text, sentence) => {
    expect(() => readCsvTable(bytes(text))).toThrow(UnreadableFile);
    expect(() => readCsvTable(bytes(text))).toThrow(sentence);
  });

  it('refuses bytes that are no text, and more than fits', () => {
    expect(() => readCsvTable(new Uint8Array([0xff, 0xfe, 0x81]))).toThrow(/UTF-8/);
    expect(() => readCsvTable(new Uint8Array(3_000_000))).toThrow(/2 MB/);
    expect(() => readCsvTable(bytes(`x,y\n${'1,2\n'.repeat(2001)}`))).toThrow(/2000/);
  });

  it('says of each bad row what is wrong in which column', () => {
    expect(
      problemOf('end_x_mm,end_y_mm,success\n1,two,1\n1,,1\n9999,0,1\n1,2,maybe\n,,\n1,2,1,4'),
    ).toEqual([
      'column “end_y_mm” holds “two”, which is not a number',
      'it has only one of end x and end y; both or neither is read',
      'column “end_x_mm” holds 9999; between -5000 and 5000 fits',
      'column “success” holds “maybe”; 1 or 0, yes or no is read',
      'it has 4 fields, the heading line 3',
    ]);
    expect(problemOf('happened_at,success\nyesterday,1')[0]).toContain('a date such as');
  });

  it('reads decimal commas, semicolons, minus signs and a mission by its name', () => {
    const [row] = read('x;y;heading;bee house\n−1,5;2;-190;yes');
    expect(row?.run).toMatchObject({
      endXM: -0.0015,
      endYM: 0.002,
      missions: { m1: true },
      worked: true,
    });
    expect(row?.run?.endHeadingRad).toBeCloseTo((170 * Math.PI) / 180, 9);
  });

  it('never throws anything but a sentence, whatever the bytes', () => {
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 300 }), (data) => {
        try {
          const table = readCsvTable(data);
          readRuns(table, guessRunColumns(table.header, [mission]));
        } catch (error) {
          expect(error).toBeInstanceOf(UnreadableFile);
        }
      }),
    );
  });
});

describe('writing runs', () => {
  const run = (part: Partial<SavedRun>): SavedRun => ({
    id: '01DEMR10000000000000000001',
    version: 1,
    seriesId: '01DEMS00000000000000000001',
    number: 1,
    happenedAt: '2026-11-14T14:10:00.000Z',
    placedBy: null,
    battery: null,
    batteryV: null,
    endXM: null,
    endYM: null,
    endHeadingRad: null,
    worked: true,
    missions: {},
    cause: null,
    note: null,
    setAsideReason: null,
    ...part,
  });

  it('comes back as it went, to a micrometre', () => {
    const millimetres = fc.integer({ min: -4_999_000, max: 4_999_000 }).map((n) => n / 1e6);
    const text = fc.string({ maxLength: 40 }).map((s) => s.trim().replace(/[\0=@\t\r\n]/g, ''));
    fc.assert(
      fc.property(millimetres, millimetres, text, fc.boolean(), (endXM, endYM, note, worked) => {
        const written = run({
          endXM,
          endYM,
          note: note.trim() || null,
          worked,
          missions: { m1: worked },
        });
        const [row] = read(writeRunsCsv([written], [mission]));
        expect(row?.run?.endXM).toBeCloseTo(endXM, 6);
        expect(row?.run?.endYM).toBeCloseTo(endYM, 6);
        expect(row?.run).toMatchObject({
          note: written.note,
          worked,
          missions: { m1: worked },
          happenedAt: written.happenedAt,
        });
      }),
    );
  });

  it('is not misread for what somebody typed in a note', () => {
    for (const note of ['||"', '";;;;"', 'a\tb\tc;d|e', '"', ';";";']) {
      const [row] = read(writeRunsCsv([run({ endXM: 0.01, endYM: 0.02, note })], [mission]));
      expect(row?.run).toMatchObject({ endXM: 0.01, note: note.trim() });
    }
  });

  it('does not let a spreadsheet run what somebody typed', () => {
    expect(writeRunsCsv([run({ note: '=HYPERLINK("x")' })], [])).toContain('"\'=HYPERLINK');
    for (const note of ['+1+1', '-2+3', '@x', "'=1", '-', '=1+1']) {
      const csv = writeRunsCsv([run({ endXM: -0.01, endYM: 0.02, note })], []);
      expect(csv).not.toMatch(/,[=+@]|,-(?!\d+(\.\d+)?,)/);
      expect(read(csv)[0]?.run?.note).toBe(note);
    }
  });
});
