import type { Segment, Table } from './table';

/* What is printed on a mat, as a raster: cells of a few colours, row by row from the far edge to the near one. */

/** A mat on an area of the table, by two of its opposite corners. */
export interface Mat extends Segment {
  columns: number;
  /** "#rrggbb"; the first is called a, the second b, and so on. */
  colours: string[];
  /** A row is so many cells of a colour, and so many of the next: "12a3b". */
  rows: string[];
}

/** As many as there are letters. */
export const MOST_COLOURS = 26;
const FIRST_LETTER = 97;
const RUNS = /(\d+)([a-z])/g;

/** Some cells of one row that are of the same colour. */
export interface CellRun {
  from: number;
  count: number;
  /** Index among the mat's colours. */
  colour: number;
}

/** The runs of a row; those of one that is written otherwise, as far as they can be read. */
export function runsOf(row: string): CellRun[] {
  let from = 0;
  return [...row.matchAll(RUNS)].map(([, cells, letter = 'a']) => {
    const run = { from, count: Number(cells), colour: letter.charCodeAt(0) - FIRST_LETTER };
    from += run.count;
    return run;
  });
}

/** What is wrong with a row; null where nothing is. */
export function faultOfRow(row: string, columns: number, colours: number): string | null {
  if (!/^(\d+[a-z])+$/.test(row)) return 'expected cells and their colour, such as "12a3b"';
  const runs = runsOf(row);
  const unknown = runs.find(({ colour }) => colour >= colours);
  if (unknown !== undefined) {
    const letter = String.fromCharCode(FIRST_LETTER + unknown.colour);
    return `names the colour "${letter}", which is not among the ${colours} of the mat`;
  }
  const cells = runs.reduce((sum, { count }) => sum + count, 0);
  return cells === columns ? null : `has ${cells} cells where the mat has ${columns} columns`;
}

/** Whether there may be lines on a table: drawn, or printed on its mat. */
export const mayHaveLines = ({ lines, mat }: Pick<Table, 'lines' | 'mat'>): boolean =>
  lines.length > 0 || mat != null;

const read = new WeakMap<Mat, Uint8Array>();

/** The colour of each cell, by its index, row by row. */
function cellsOf(mat: Mat): Uint8Array {
  const known = read.get(mat);
  if (known !== undefined) return known;
  const cells = new Uint8Array(mat.columns * mat.rows.length);
  mat.rows.forEach((row, at) => {
    for (const { from, count, colour } of runsOf(row)) {
      const first = at * mat.columns + from;
      cells.fill(colour, first, first + count);
    }
  });
  read.set(mat, cells);
  return cells;
}

/** Column and row at a place of the table, not rounded; they may lie beside the mat. */
const cellAt = ({ x1M, y1M, x2M, y2M, columns, rows }: Mat, xM: number, yM: number) => ({
  column: (columns * (xM - Math.min(x1M, x2M))) / Math.abs(x2M - x1M),
  row: (rows.length * (Math.max(y1M, y2M) - yM)) / Math.abs(y2M - y1M),
});

/** What a mat shows at a place of the table; null beside it. */
export function matColourAt(mat: Mat, xM: number, yM: number): string | null {
  const { column, row } = cellAt(mat, xM, yM);
  if (!(column >= 0 && column < mat.columns && row >= 0 && row < mat.rows.length)) return null;
  const cell = Math.floor(row) * mat.columns + Math.floor(column);
  return mat.colours[cellsOf(mat)[cell] ?? 0] ?? null;
}

/** The one colour that a mat shows in all cells about a spot; null where they are several, or some lie beside it. */
export function matColourAbout(
  mat: Mat,
  { xM, yM }: { xM: number; yM: number },
  radiusM: number,
): string | null {
  const first = cellAt(mat, xM - radiusM, yM + radiusM);
  const last = cellAt(mat, xM + radiusM, yM - radiusM);
  if (!(first.column >= 0 && last.column < mat.columns)) return null;
  if (!(first.row >= 0 && last.row < mat.rows.length)) return null;
  const cells = cellsOf(mat);
  const one = cells[Math.floor(first.row) * mat.columns + Math.floor(first.column)] ?? 0;
  for (let row = Math.floor(first.row); row <= last.row; row += 1) {
    for (let column = Math.floor(first.column); column <= last.column; column += 1) {
      if (cells[row * mat.columns + column] !== one) return null;
    }
  }
  return mat.colours[one] ?? null;
}
