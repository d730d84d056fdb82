import type { Step } from './descriptions';

/** One of the lists of a step that owns steps. */
export interface Branch {
  /** Where it stands in the record of its owner: ["steps"], ["classes", "red"]. */
  at: readonly string[];
  /** When its steps are made, on a screen; empty where its owner has no other list. */
  words: string;
  steps: readonly Step[];
  /** It is no list: one motion, in whose place another may be put. */
  isSingle?: true;
  /** The kinds of step that may stand in it; left out: any. */
  takes?: readonly Step['kind'][];
}

/** The only list of a step that has one. */
export const onlyList = ({ steps }: { steps: Step[] }): Branch[] => [
  { at: ['steps'], words: '', steps },
];

/** A record with what stands somewhere in it put in place of what stood there. */
function withValue(
  record: object,
  [name = '', ...deeper]: readonly string[],
  value: unknown,
): object {
  const inner: unknown = Reflect.get(record, name);
  const kept = typeof inner === 'object' && inner !== null ? inner : {};
  return { ...record, [name]: deeper.length === 0 ? value : withValue(kept, deeper, value) };
}

/** A step with other steps in one of its lists; of a single motion the last of them. */
export function withBranch<S extends Step>(
  owner: S,
  { at, isSingle, steps: before }: Branch,
  steps: readonly Step[],
): S {
  const value =
    isSingle === true
      ? (steps.findLast((one) => !before.includes(one)) ?? steps[0] ?? before[0])
      : steps;
  return withValue(owner, at, value) as S;
}
