import type { Fields, Flat, Values } from '../description/description';

/** What is told of a kind of trial, once: its record, its form, its file and its table follow from it. */
export interface TrialKind<F extends Fields = Fields, N extends string = string> {
  /** One of them: "drive". */
  what: string;
  fields: F;
  /** What is read off anew for each: it is empty until then. */
  readOff: readonly N[];
  /** What its list says of all of them: no field of the form. */
  given?: readonly string[];
}

/** A trial as its list keeps it. */
export type TrialOf<K> =
  K extends TrialKind<infer F> ? Flat<{ id: string } & Values<F> & Aside> : never;

interface Aside {
  /** Null: it counts. */
  setAsideReason: string | null;
}

/** A trial while it is entered: what is not read off yet is null. */
export type EntryOf<K> =
  K extends TrialKind<infer F, infer N>
    ? { [V in keyof Values<F>]: V extends N ? Values<F>[V] | null : Values<F>[V] }
    : never;

/** Says what a kind of trial is; what is read off is one of its fields. */
export const trialKind = <F extends Fields, const N extends keyof F & string>(
  kind: TrialKind<F, N>,
): TrialKind<F, N> => kind;
