import Papa from 'papaparse';

/**
 * Where a spreadsheet would begin to run a formula: at the start of a cell, and, should it split at semicolons or
 * lines, behind those.
 */
const FORMULA = /(?<=^|[;\r\n])(?='*[=@+\-\t\r])/g;
const PLAIN_NUMBER = /^[+-]\d*[.,]?\d+$/;
/** The mark that keeps it text, as spreadsheets know it; taken off again when it is read. */
const KEPT_TEXT = /(?<=^|[;\r\n])'(?='*[=@+\-\t\r])/g;

/** A text as a cell of a file that no spreadsheet takes for a formula. */
export const asCell = (text: string): string =>
  PLAIN_NUMBER.test(text) ? text : text.replace(FORMULA, "'");

/** What stands in such a cell. */
export const fromCell = (cell: string): string => cell.replace(KEPT_TEXT, '');

/** A table as CSV. */
export const csvText = (
  fields: readonly string[],
  rows: readonly (readonly (string | number)[])[],
): string => {
  const data = rows.map((row) =>
    row.map((cell) => (typeof cell === 'string' ? asCell(cell) : cell)),
  );
  return `${Papa.unparse({ fields: fields.map(asCell), data }, { newline: '\n' })}\n`;
};
