import type { AnyValue } from '../description/description';
import type { TrialKind } from './kind';

/** The title of a value in files. */
export const titleOf = (name: string, { title }: AnyValue): string => title ?? name;

/** The columns that a file of such trials must have, as a sentence lists them. */
export function columnsSentence({ fields }: TrialKind): string {
  const titles = Object.entries(fields).map(([name, field]) => {
    const title = titleOf(name, field);
    return field.hint === undefined ? title : `${title} (${field.hint})`;
  });
  return `${titles.slice(0, -1).join(', ')} and ${titles.at(-1)}`;
}
