import { MOST_LETTERS, type AnyValue, type Fields } from '../../core/description/description';
import { degreesFromRadians } from '../../core/geometry/angle';
import { mayLack, titleOf, wordsOf } from '../../core/trials/columns';
import type { TrialKind, TrialOf } from '../../core/trials/kind';
import { readSmallCsv, type WantedColumn } from './smallCsv';
import type { ReadRecords } from './trialsCsv';

/** So many of the unit that a title ends with are one of SI. */
const PER_SI: readonly [ending: RegExp, perSi: number][] = [
  [/_percent$/, 100],
  [/_mm(_per_s)?$/, 1000],
  [/_cm$/, 100],
  [/_deg$/, degreesFromRadians(1)],
  [/_[sV]$/, 1],
];

const perSiOf = (title: string): number => PER_SI.find(([ending]) => ending.test(title))?.[1] ?? 1;

function columnOf([name, field]: [string, AnyValue]): WantedColumn {
  const title = titleOf(name, field);
  const perSi = perSiOf(title);
  const words = wordsOf(field);
  return {
    key: name,
    heading: new RegExp(`^${title}$`, 'i'),
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
  if (field.is === 'flag') return text === field.yes;
  return field.is === 'choice' ? (field.alsoWritten?.[text] ?? text) : text.slice(0, MOST_LETTERS);
}

/** Trials of a kind from a CSV file: every row a record, each bad line with its reason. */
export async function readTrials<F extends Fields, N extends string>(
  { fields }: TrialKind<F, N>,
  file: File,
  newId: () => string,
): Promise<ReadRecords<TrialOf<TrialKind<F, N>>>> {
  const all = Object.entries(fields);
  const { rows, bad } = await readSmallCsv(file, all.map(columnOf));
  const records = rows.map(({ values }) => ({
    id: newId(),
    ...Object.fromEntries(all.map(([name, field]) => [name, valueOf(name, field, values[name])])),
    setAsideReason: null,
  }));
  return { records: records as TrialOf<TrialKind<F, N>>[], bad };
}
