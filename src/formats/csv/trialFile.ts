import { MOST_LETTERS, type AnyValue, type Fields } from '../../core/description/description';
import { degreesFromRadians } from '../../core/geometry/angle';
import { mayLack, titleOf, wordsOf } from '../../core/trials/columns';
import type { TrialKind, TrialOf } from '../../core/trials/kind';
import { readSmallCsv, type WantedColumn } from './smallCsv';
import type { BadLine } from '../readings';

/** So many of the unit that a title ends with are one of SI. */
const PER_SI: readonly [ending: RegExp, perSi: number][] = [
  [/_deg_per_s_per_percent$/, degreesFromRadians(1) / 100],
  [/_percent$/, 100],
  [/_mm(_per_s)?$/, 1000],
  [/_cm$/, 100],
  [/^motor_deg_per_s$/, 1],
  [/_deg$/, degreesFromRadians(1)],
  [/_deg_per_s$/, degreesFromRadians(1)],
  [/_[svV]$/, 1],
];

const perSiOf = (title: string): number => PER_SI.find(([ending]) => ending.test(title))?.[1] ?? 1;

function columnOf([name, field]: [string, AnyValue]): WantedColumn {
  const title = titleOf(name, field);
  const perSi = perSiOf(title);
  const words = wordsOf(field);
  return {
    key: name,
    heading: new RegExp(`^(${[title, ...(field.alsoTitled ?? [])].join('|')})$`, 'i'),
    name: title,
    optional: mayLack(field),
    ...(field.is === 'number' && {
      number: {
        min: field.min * perSi,
        max: field.max * perSi,
        isOpen: field.open !== undefined,
        notZero: field.notZero === true,
      },
    }),
    ...(words.length > 0 && { oneOf: words }),
  };
}

function valueOf(name: string, field: AnyValue, cell: number | string | undefined): unknown {
  if (cell === undefined) return 'default' in field ? field.default : null;
  if (field.is === 'number') return Number(cell) / perSiOf(titleOf(name, field));
  const text = String(cell);
  if (field.is === 'numeral') return Number(text);
  if (field.is === 'flag') return field.alsoWritten?.[text] ?? text === field.yes;
  return field.is === 'choice' ? (field.alsoWritten?.[text] ?? text) : text.slice(0, MOST_LETTERS);
}

/** Rows of a file as records, and the lines that are none. */
export interface ReadRecords<T> {
  records: T[];
  bad: BadLine[];
}

/**
 * Trials of a kind from a CSV file: every row a record, each bad line with its reason.
 *
 * @param complete makes another record of what a row says, or says why it cannot
 */
export async function readTrials<F extends Fields, N extends string, T = TrialOf<TrialKind<F, N>>>(
  { fields }: TrialKind<F, N>,
  file: File,
  newId: () => string,
  complete = (row: TrialOf<TrialKind<F, N>>): T | string => row as T,
): Promise<ReadRecords<T>> {
  const all = Object.entries(fields);
  const { rows, bad } = await readSmallCsv(file, all.map(columnOf));
  const records: T[] = [];
  for (const { line, values } of rows) {
    const said = all.map(([name, field]) => [name, valueOf(name, field, values[name])]);
    const row = { id: newId(), ...Object.fromEntries(said), setAsideReason: null };
    const record = complete(row as TrialOf<TrialKind<F, N>>);
    if (typeof record === 'string') bad.push({ line, why: record });
    else records.push(record);
  }
  return { records, bad };
}
