/**
 * A line of a program in plain words, or the lines that belong to the one before, as they are moved in under it. What
 * may stand in one is listed in docs/formats/building-sheet.md.
 */
export type Line = string | Line[];

/** A number as it is typed, with so many digits behind the point, and its unit. */
export interface Figure {
  value: number;
  decimals: number;
  unit: string;
}

/** A block of one's own: its lines are the same however often it is called, with other numbers each time. */
export interface Recipe {
  /** What it is called: a verb and what it is for. */
  name: string;
  /** What is typed at each call, by the names that stand in its lines. */
  parameters: Readonly<Record<string, Figure>>;
  lines: Line[];
}

const INDENT = '    ';

/** The lines as they are printed, each moved in as deep as it stands. */
export const printed = (lines: readonly Line[], indent = ''): string[] =>
  lines.flatMap((line) =>
    typeof line === 'string' ? [indent + line] : printed(line, indent + INDENT),
  );
