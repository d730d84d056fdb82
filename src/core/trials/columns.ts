import type { AnyValue } from '../description/description';
import type { TrialKind } from './kind';

/** The title of a value in files. */
export const titleOf = (name: string, { title }: AnyValue): string => title ?? name;

/** Words that a value may be written in; none where it is a number or free. */
export const wordsOf = (field: AnyValue): string[] => {
  if (field.is === 'flag')
    return Object.keys(field.alsoWritten ?? { [field.no]: 0, [field.yes]: 1 });
  if (field.is === 'numeral') return Object.keys(field.options);
  if (field.is !== 'choice') return [];
  return [...Object.keys(field.options), ...Object.keys(field.alsoWritten ?? {})];
};

/** Whether a file may do without the column of a value. */
export const mayLack = (field: AnyValue): boolean =>
  field.orNothing === true || ('default' in field && field.default !== undefined);

function titleWithNote([name, field]: [string, AnyValue]): string {
  const { about, hint } = field;
  const said = about ?? (typeof hint === 'string' ? hint : wordsOf(field).join(' or '));
  // What is missing in a record is an empty cell in a file.
  const note = said.replace('null:', 'empty:');
  return note === '' ? titleOf(name, field) : `${titleOf(name, field)} (${note})`;
}

const listed = (titles: readonly string[]): string =>
  [titles.slice(0, -1).join(', '), ...titles.slice(-1)].filter((part) => part !== '').join(' and ');

/** The columns that a file of such trials must have, and those that it may have, as a sentence lists them. */
export function columnsSentence({ fields }: TrialKind): string {
  const all = Object.entries(fields);
  const must = listed(all.filter(([, field]) => !mayLack(field)).map(titleWithNote));
  const may = listed(all.filter(([, field]) => mayLack(field)).map(titleWithNote));
  return may === '' ? must : `${must}; if you like, ${may}`;
}
