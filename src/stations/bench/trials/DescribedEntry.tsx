import { Fragment, type ReactNode } from 'react';
import type { EntryOf, TrialKind, TrialOf } from '../../../core/trials/kind';
import type { Fields } from '../../../core/description/description';
import { fieldsOf } from '../../../ui/fields/recordForm';
import { TrialEntry } from './TrialEntry';

interface Props<F extends Fields, N extends string> {
  kind: TrialKind<F, N>;
  /** What stands in the form at first, but for what is read off; and what its list gives. */
  start: Omit<EntryOf<TrialKind<F, N>>, N>;
  /** What stands beside the field of a value, by its name. */
  beside?: Readonly<Record<string, ReactNode>>;
  /** What was typed before, by the name of its value. */
  suggestions?: Readonly<Record<string, readonly string[]>>;
  onTrial(trial: TrialOf<TrialKind<F, N>>): void;
  /** Further ways of getting a trial from what stands in the form. */
  more?(entry: EntryOf<TrialKind<F, N>>, isWrong: boolean): ReactNode;
  /** What stands under the form, and may fill some of it. */
  below?(fill: (part: Partial<EntryOf<TrialKind<F, N>>>) => void): ReactNode;
}

type Values = Record<string, unknown>;

const Field = fieldsOf<Record<string, number | string | boolean | null>>().Value;

/** Entering trials of a kind, one after the other: its fields as they are described. */
export function DescribedEntry<F extends Fields, N extends string>(props: Props<F, N>) {
  type Entry = EntryOf<TrialKind<F, N>>;
  type Trial = TrialOf<TrialKind<F, N>>;
  const { kind, start, beside = {}, suggestions = {}, onTrial, more, below } = props;
  const given = kind.given ?? [];
  const [firstReadOff] = kind.readOff;
  const nothingRead = Object.fromEntries(kind.readOff.map((name) => [name, null]));
  const isReadOff = (name: string) => kind.readOff.some((one) => one === name);
  /** The trial that is entered; null while something of it is missing. */
  const trialOf = (entry: Values): Values | null => {
    const said = Object.entries(kind.fields).map(([name, field]) => {
      const typed: unknown = given.includes(name) ? Reflect.get(start, name) : entry[name];
      const value = typeof typed === 'string' ? typed.trim() : typed;
      const isThere = field.orNothing === true || (value !== null && value !== '');
      return { name, value, isThere };
    });
    return said.every(({ isThere }) => isThere)
      ? Object.fromEntries(said.map(({ name, value }) => [name, value]))
      : null;
  };
  return (
    <TrialEntry<Entry & object, Trial & { id: string; setAsideReason: string | null }>
      start={{ ...start, ...nothingRead } as unknown as Entry & object}
      schema={async () => (await import('../../../formats/trialSchema')).entrySchema(kind) as never}
      button={`Add the ${kind.what}`}
      trialOf={(entry) => trialOf(entry as Values) as never}
      next={(entry) => ({ ...entry, ...nothingRead })}
      onTrial={onTrial}
      {...(more !== undefined && { more })}
      {...(below !== undefined && { below })}
    >
      {(first) =>
        Object.entries(kind.fields)
          .filter(([name]) => !given.includes(name))
          .map(([name, field]) => (
            <Fragment key={name}>
              <Field
                name={name}
                field={field}
                optional={isReadOff(name) || field.orNothing === true}
                suggestions={suggestions[name]}
                inputRef={name === firstReadOff ? first : undefined}
              />
              {beside[name]}
            </Fragment>
          ))
      }
    </TrialEntry>
  );
}
