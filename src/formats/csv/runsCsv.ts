import { headingFigure, turnSign } from '../../core/text/quantities';
import { errorFigure, errorScale, fineDecimals } from '../../core/text/lengths';
import { BadCell, parseNumber, parseTime, parseYesNo } from './csvCells';
import type { CsvTable } from './csvTable';
import { csvText, fromCell } from './csvText';
import { radiansFromDegrees, wrap } from '../../core/geometry/angle';
import type { Mission } from '../../core/table/table';
import type { SavedRun } from '../records';

/** What a column of a run log can hold. */
export const FIELDS = {
  happenedAt: 'When (date and time)',
  placedBy: 'Placed by',
  battery: 'Battery (label)',
  batteryV: 'Battery (V)',
  endX: 'End x',
  endY: 'End y',
  endHeading: 'End heading (°)',
  worked: 'Worked (1 or 0)',
  cause: 'Cause',
  note: 'Note',
  setAsideReason: 'Set aside, reason',
} as const;

export type Field = keyof typeof FIELDS | `mission:${string}`;

/** Which column (by index) is read as what. Columns that are not named are left unread. */
export type RunColumns = Partial<Record<Field, number>>;

const plain = (name: string) => name.toLowerCase().replace(/[^a-z0-9]+/g, '');

const LENGTH_ENDINGS = ['mm', 'cm', 'm', 'in', 'inch', 'inches'];
const inUnits = (name: string) => LENGTH_ENDINGS.map((ending) => name + ending);

const GUESSES: Record<keyof typeof FIELDS, string[]> = {
  happenedAt: ['happenedat', 'time', 'when', 'datetime'],
  placedBy: ['placedby', 'operator', 'who'],
  battery: ['battery', 'batterylabel'],
  batteryV: ['batteryv', 'volts', 'voltage'],
  endX: ['endx', 'x', ...inUnits('endx'), ...inUnits('x')],
  endY: ['endy', 'y', ...inUnits('endy'), ...inUnits('y')],
  endHeading: [
    'endheadingdeg',
    'headingdeg',
    'endheading',
    'heading',
    'endheadingrightdeg',
    'headingrightdeg',
  ],
  worked: ['worked', 'success', 'ok'],
  cause: ['cause'],
  note: ['note', 'notes', 'comment'],
  setAsideReason: ['setaside', 'setasidereason'],
};

/** The likely meaning of each column, from its heading. */
export function guessRunColumns(
  header: readonly string[],
  missions: readonly Mission[],
): RunColumns {
  const names = header.map(plain);
  const map: RunColumns = {};
  for (const [field, guesses] of Object.entries(GUESSES)) {
    const column = names.findIndex((name) => guesses.includes(name));
    if (column >= 0) map[field as Field] = column;
  }
  for (const mission of missions) {
    const column = names.indexOf(plain(mission.name));
    if (column >= 0) map[`mission:${mission.id}`] = column;
  }
  return map;
}

/** What is read from one good row, in SI units. */
export interface CsvRun {
  happenedAt: string | null;
  placedBy: string | null;
  battery: string | null;
  batteryV: number | null;
  endXM: number | null;
  endYM: number | null;
  endHeadingRad: number | null;
  worked: boolean | null;
  missions: Record<string, boolean>;
  cause: string | null;
  note: string | null;
  setAsideReason: string | null;
}

/** A row of the file and what it holds. */
export type CsvRow = { line: number } & (
  { run: CsvRun; problem?: undefined } | { run?: undefined; problem: string }
);

function parseText(cell: string, column: string, max: number): string | null {
  const text = fromCell(cell);
  if (text.length > max) throw new BadCell(`column “${column}” holds over ${max} characters`);
  return text === '' ? null : text;
}

/** How many of the unit that a heading line says make a metre; one that says none is in the team's. */
function unitsPerMetreOf(column: string): number {
  const [, unit] = /(?:^|[^a-z])(mm|cm|m|in|inch|inches)[)\]]?$/i.exec(column.trim()) ?? [];
  const known: Record<string, number> = { mm: 1000, cm: 100, m: 1 };
  if (unit === undefined) return errorScale().perM;
  return known[unit.toLowerCase()] ?? 1 / 0.0254;
}

/** Turned to the right counts as positive where the heading line says so. */
const positiveOf = (column: string): 1 | -1 => (/right/i.test(column) ? -1 : 1);

function readRow(cells: readonly string[], header: readonly string[], map: RunColumns): CsvRun {
  const at = (field: Field): [string, string] => {
    const column = map[field];
    return column === undefined
      ? ['', '']
      : [(cells[column] ?? '').trim(), header[column] ?? `${column + 1}`];
  };
  const metres = (field: Field) => {
    const [cell, column] = at(field);
    const perM = unitsPerMetreOf(column);
    const value = parseNumber(cell, column, -5 * perM, 5 * perM);
    return value === null ? null : value / perM;
  };
  const endXM = metres('endX');
  const endYM = metres('endY');
  if ((endXM === null) !== (endYM === null)) {
    throw new BadCell('it has only one of end x and end y; both or neither is read');
  }
  const headingDegrees = parseNumber(...at('endHeading'), -360, 360);
  const heading = headingDegrees && headingDegrees * positiveOf(at('endHeading')[1]);
  const missions: Record<string, boolean> = {};
  for (const field of Object.keys(map) as Field[]) {
    if (!field.startsWith('mission:')) continue;
    const result = parseYesNo(...at(field));
    if (result !== null) missions[field.slice('mission:'.length)] = result;
  }
  const noted = Object.values(missions);
  const worked = parseYesNo(...at('worked'));
  const run: CsvRun = {
    happenedAt: parseTime(...at('happenedAt')),
    placedBy: parseText(...at('placedBy'), 40),
    battery: parseText(...at('battery'), 40),
    batteryV: parseNumber(...at('batteryV'), 0, 60),
    endXM,
    endYM,
    endHeadingRad: heading === null ? null : wrap(radiansFromDegrees(heading)),
    worked: worked ?? (noted.length > 0 ? noted.every(Boolean) : null),
    missions,
    cause: parseText(...at('cause'), 40),
    note: parseText(...at('note'), 500),
    setAsideReason: parseText(...at('setAsideReason'), 200),
  };
  if (run.worked === null && run.endXM === null) {
    throw new BadCell('it says neither where the run ended nor whether it worked');
  }
  return run;
}

/** Each row as a run, or with the reason why it cannot be one. */
export function readRuns(table: CsvTable, map: RunColumns): CsvRow[] {
  return table.rows.map(({ line, cells }) => {
    try {
      if (cells.length > table.header.length) {
        throw new BadCell(`it has ${cells.length} fields, the heading line ${table.header.length}`);
      }
      return { line, run: readRow(cells, table.header, map) };
    } catch (error) {
      if (error instanceof BadCell) return { line, problem: error.message };
      throw error;
    }
  });
}

const yesNo = (value: boolean | null | undefined) =>
  typeof value === 'boolean' ? Number(value) : '';
const rounded = (value: number | null, decimals: number) =>
  value === null ? '' : String(Number(value.toFixed(decimals)));

/** Runs as CSV: the columns that `guessColumns` knows, one per mission, and when each was made. */
export function writeRunsCsv(runs: readonly SavedRun[], missions: readonly Mission[]): string {
  const noted = missions.filter((mission) => runs.some((run) => mission.id in run.missions));
  const fields = [
    'run',
    'happened_at',
    'placed_by',
    'battery',
    'battery_V',
    `end_x_${errorScale().label}`,
    `end_y_${errorScale().label}`,
    turnSign() > 0 ? 'end_heading_deg' : 'end_heading_right_deg',
    'worked',
    ...noted.map((mission) => mission.name),
    'cause',
    'note',
    'set_aside',
  ];
  const data = runs.map((run) => [
    run.number,
    run.happenedAt,
    run.placedBy ?? '',
    run.battery ?? '',
    rounded(run.batteryV, 3),
    rounded(run.endXM === null ? null : errorFigure(run.endXM), 2 + fineDecimals()),
    rounded(run.endYM === null ? null : errorFigure(run.endYM), 2 + fineDecimals()),
    rounded(run.endHeadingRad === null ? null : headingFigure(run.endHeadingRad), 4),
    yesNo(run.worked),
    ...noted.map((mission) => yesNo(run.missions[mission.id])),
    run.cause ?? '',
    run.note ?? '',
    run.setAsideReason ?? '',
  ]);
  return csvText(fields, data);
}
