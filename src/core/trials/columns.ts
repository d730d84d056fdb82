import { hintOf, type AnyValue } from '../description/description';
import type { TrialKind } from './kind';

/** The title of a value in files. */
export const titleOf = (name: string, { title }: AnyValue): string => title ?? name;

/** Words that a value may be written in; none where it is a number or free. */
export const wordsOf = (field: AnyValue): string[] => {
  if (field.is === 'flag') return [field.no, field.yes];
  if (field.is !== 'choice') return [];
  return [...Object.keys(field.options), ...Object.keys(field.alsoWritten ?? {})];
};

/** Whether a file may do without the column of a value. */
export const mayLack = (field: AnyValue): boolean =>
  field.orNothing === true ||
  ((field.is === 'flag' || field.is === 'choice') && field.default !== undefined);

function titleWithNote([name, field]: [string, AnyValue]): string {
  const note = field.about ?? hintOf(field) ?? wordsOf(field).join(' or ');
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
