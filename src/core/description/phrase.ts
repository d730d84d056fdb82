import type { QuantityName } from '../quantities/quantities';

/** The place of a value in a phrase. */
export interface Slot<N extends string = string> {
  slot: N;
  /** How it is shown just here, where that is otherwise. */
  label?: string;
  quantity?: QuantityName;
  /** The most that fits here, where that is less. */
  most?: number;
  /** Of a choice: other words for its options. */
  words?: Readonly<Record<string, string>>;
  /** Of a signed number: its size alone, or the word for its side. */
  part?: 'size' | { plus: string; minus: string };
}

/** What is only said where a value is set; its field is there always. */
export interface Clause<N extends string = string> {
  ifSet: N;
  phrase: Phrase<N>;
}

/** A sentence with its values in place: words, slots and clauses. */
export type Phrase<N extends string = string> = readonly (string | Slot<N> | Clause<N>)[];

/** A phrase from a template: a name stands for the slot of that value. */
export function say<const N extends string = never>(
  words: TemplateStringsArray,
  ...slots: readonly (N | Slot<N>)[]
): Phrase<N> {
  return words
    .flatMap((word, i) => {
      const slot = slots[i];
      if (slot === undefined) return [word];
      return [word, typeof slot === 'string' ? { slot } : slot];
    })
    .filter((part) => part !== '');
}

/** The size of a signed value. */
export const size = <const N extends string>(
  slot: N,
  as: Pick<Slot, 'label' | 'quantity'> = {},
): Slot<N> => ({ slot, part: 'size', ...as });

/** On which side of zero a value lies, in words. */
export const side = <const N extends string>(
  slot: N,
  label: string,
  part: { plus: string; minus: string },
): Slot<N> => ({ slot, label, part });

/** The slots of a phrase, in order, also those that are only said where they are set. */
export const slotsOf = <N extends string>(phrase: Phrase<N>): Slot<N>[] =>
  phrase.flatMap((part) => {
    if (typeof part === 'string') return [];
    return 'slot' in part ? [part] : slotsOf(part.phrase);
  });
