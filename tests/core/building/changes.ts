import type { BuildingSheet } from '../../../src/core/building/sheet';

const NUMBER = /(?<![\w.])[−-]?\d+(\.\d+)?/g;
const SWAPPED: Record<string, string> = {
  '>=': '<=',
  '<=': '>=',
  '> ': '< ',
  ' + ': ' - ',
  ' - ': ' + ',
};

/** The text with one thing in it changed: for each, several changes of which one at least has to show. */
function changesOf(text: string): string[][] {
  const from = /^\s*\d[\w.]*: /.exec(text)?.[0].length ?? 0;
  const put = (at: number, old: string, now: string) =>
    text.slice(0, at) + now + text.slice(at + old.length);
  const numbers = [...text.matchAll(NUMBER)]
    .filter(({ index }) => index >= from)
    .map(({ 0: old, index }) => {
      const value = Number(old.replace('−', '-'));
      return [0, -value, 3 * value + 1, 1000 * value + 5000, -1000 * value - 5000].map((now) =>
        put(index, old, `${now}`),
      );
    });
  const signs = Object.entries(SWAPPED).flatMap(([sign, other]) => {
    const at = text.indexOf(sign, from);
    return at === -1 ? [] : [[put(at, sign, other)]];
  });
  return [...numbers, ...signs];
}

/** Every sheet with one thing on it changed. */
export function changedSheets(sheet: BuildingSheet): { what: string; sheets: BuildingSheet[] }[] {
  const inLines = (lines: readonly string[], with_: (lines: string[]) => BuildingSheet) =>
    lines.flatMap((line, i) =>
      changesOf(line).map((changes) => ({
        what: line,
        sheets: changes.map((now) => with_(lines.map((one, k) => (k === i ? now : one)))),
      })),
    );
  const all = [...sheet.program, ...sheet.recipes.flatMap(({ lines }) => lines)].join(' ');
  return [
    ...inLines(sheet.program, (program) => ({ ...sheet, program })),
    ...sheet.recipes.flatMap((recipe, r) =>
      inLines(recipe.lines, (lines) => ({
        ...sheet,
        recipes: sheet.recipes.map((one, k) => (k === r ? { ...one, lines } : one)),
      })),
    ),
    ...sheet.devices.flatMap((device, d) => {
      const other = sheet.devices[(d + 2) % sheet.devices.length]?.port ?? '';
      const devices = sheet.devices.map((one, k) => (k === d ? { ...one, port: other } : one));
      return all.includes(device.name)
        ? [{ what: `port of ${device.name}`, sheets: [{ ...sheet, devices }] }]
        : [];
    }),
  ];
}
