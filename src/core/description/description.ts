import type { QuantityName } from '../quantities/quantities';
import type { Phrase } from './phrase';

interface Value {
  /** As its field and its difference call it. */
  label: string;
  /** What a label and its limits do not say, for whoever writes it into a file. */
  about?: string;
  /** What stands beside its field; a function where that depends on how the team counts. */
  hint?: string | (() => string);
  /** What it is called over a column, where its label is too long for that. */
  heading?: string;
  /** Its title in files; the ending says its unit there. */
  title?: string;
  /** How it may be titled besides, in the same unit. */
  alsoTitled?: readonly string[];
  /** What is expected, where its limits alone do not say it. */
  wanted?: string;
  /** It may be missing, and is null then. */
  orNothing?: true;
  /** What it means to leave it out, where that can be chosen. */
  leftOut?: string;
}

/** A number with its limits in SI: record, form and refusals go by them alike. */
export interface NumberValue extends Value {
  is: 'number';
  quantity: QuantityName;
  min: number;
  max: number;
  /** The least itself does not fit any more, or neither end does. */
  open?: 'below' | 'both';
  /** What is said of one that passes the greatest: what was likely meant. */
  beyond?: string;
  notZero?: true;
  /** It is counted, and never half. */
  whole?: true;
  default?: number;
}

/** One of a few, each with its word. */
export interface ChoiceValue<T extends string = string> extends Value {
  is: 'choice';
  options: Record<T, string>;
  default?: T;
  /** How else it may be written in files. */
  alsoWritten?: Readonly<Record<string, T>>;
}

/** One of a few numbers, each with its word: a sign, a count. */
export interface NumeralValue<T extends number = number> extends Value {
  is: 'numeral';
  options: Record<T, string>;
  default?: T;
}

/** Words of one line have so many letters at most, where nothing else is said. */
export const MOST_LETTERS = 40;

/** Words of one line. */
export interface TextValue extends Value {
  is: 'text';
  /** It may not be left empty. */
  isNeeded?: true;
  mostLetters?: number;
  default?: string;
}

/** One of two, each with its word. */
export interface FlagValue extends Value {
  is: 'flag';
  yes: string;
  no: string;
  default?: boolean;
  /** How else it may be written in files. */
  alsoWritten?: Readonly<Record<string, boolean>>;
}

/** The id of something that stands elsewhere: a mission by its id, a unit by its label. */
export interface ReferenceValue extends Value {
  is: 'reference';
  /** What kind of thing. */
  to: string;
  /** What it may be besides, with the words for it. */
  also?: Readonly<Record<string, string>>;
  default?: string;
}

/** Something with a shape of its own, which says itself how it is said; whoever checks it knows its schema by its name. */
export interface PartValue<T = unknown> extends Value {
  is: 'part';
  words(value: T): string;
  /** By which its schema and its editor are known. */
  shape: string;
}

export type AnyValue =
  NumberValue | ChoiceValue | NumeralValue | FlagValue | ReferenceValue | TextValue | PartValue;
export type Fields = Readonly<Record<string, AnyValue>>;

type SetValueOf<F> = F extends NumberValue
  ? number
  : F extends ChoiceValue<infer T>
    ? T
    : F extends NumeralValue<infer T>
      ? T
      : F extends FlagValue
        ? boolean
        : F extends ReferenceValue | TextValue
          ? string
          : F extends PartValue<infer T>
            ? T
            : never;

export type ValueOf<F> = F extends { orNothing: true } ? SetValueOf<F> | null : SetValueOf<F>;

export type Values<F> = { -readonly [N in keyof F]: ValueOf<F[N]> };

/** All that is told of the values of a kind, once: its schema, its fields on screen and its words follow from it. */
export interface Description<
  K extends string = string,
  F extends Fields = Fields,
  O extends Fields = Fields,
> {
  kind: K;
  /** On the button that adds one. */
  label: string;
  fields: F;
  /** What may be left out. */
  optional: O;
  /** One plain sentence with a slot for each value. */
  phrase(values: Values<F> & Partial<Values<O>>): Phrase<keyof (F & O) & string>;
}

export type Flat<T> = { [N in keyof T]: T[N] };

/** A record of a kind, as its description has it. */
export type RecordOf<D> =
  D extends Description<infer K, infer F, infer O>
    ? Flat<{ id: string; kind: K } & Values<F> & Partial<Values<O>>>
    : never;

/** Says what a kind is; a slot that is no field of it is refused by its type. */
export function description<
  const K extends string,
  F extends Fields,
  O extends Fields = Record<never, AnyValue>,
>({
  optional,
  ...of
}: {
  kind: K;
  label: string;
  fields: F;
  optional?: O;
  phrase(values: NoInfer<Values<F> & Partial<Values<O>>>): Phrase<NoInfer<keyof (F & O) & string>>;
}): Description<K, F, O> {
  return { ...of, optional: optional ?? ({} as O) };
}

/** The fields of a kind by their names, also those that may be left out. */
export const describedFields = ({
  fields,
  optional,
}: Pick<Description, 'fields' | 'optional'>): Fields => ({
  ...fields,
  ...optional,
});

/** Options that are called what they are. */
export const themselves = <const T extends string>(words: readonly T[]) =>
  Object.fromEntries(words.map((word) => [word, word])) as { [W in T]: W };

/** A value that may be missing. */
export const orNothing = <F extends AnyValue>(field: F): F & { orNothing: true } => ({
  ...field,
  orNothing: true,
});

/** What stands beside a field. */
export const hintOf = ({ hint }: AnyValue): string | undefined =>
  typeof hint === 'function' ? hint() : hint;

export const number = (of: Omit<NumberValue, 'is'>): NumberValue => ({ is: 'number', ...of });
export const flag = (of: Omit<FlagValue, 'is'>): FlagValue => ({ is: 'flag', ...of });
export const reference = (of: Omit<ReferenceValue, 'is'>): ReferenceValue => ({
  is: 'reference',
  ...of,
});
export const part = <T>(of: Omit<PartValue<T>, 'is'>): PartValue<T> => ({ is: 'part', ...of });
export const text = (of: Omit<TextValue, 'is'>): TextValue => ({ is: 'text', ...of });
export const numeral = <const T extends number>(
  of: Value & { options: Record<T, string>; default?: NoInfer<T> },
): NumeralValue<T> => ({ is: 'numeral', ...of });
export const choice = <const T extends string>(
  of: Value & {
    options: Record<T, string>;
    default?: NoInfer<T>;
    alsoWritten?: Readonly<Record<string, NoInfer<T>>>;
  },
): ChoiceValue<T> => ({ is: 'choice', ...of });
