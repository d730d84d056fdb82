/** What runs were made with and by whom, besides what was tried. */
export const CONDITIONS = ['robot', 'route version', 'table', 'battery', 'placed by'] as const;

export type Condition = (typeof CONDITIONS)[number];

/** The values of each condition that were noted, in any order. */
export type NotedConditions = Record<Condition, readonly string[]>;

/** In what two sides differ besides what was tried. */
export interface OtherDifference {
  condition: Condition;
  a: string[];
  b: string[];
}

const sorted = (values: readonly string[]) => [...new Set(values)].toSorted();

/**
 * The conditions in which two sides differ, so that nobody can tell which of them did it.
 *
 * @param tried conditions that were chosen to differ
 */
export function otherDifferences(
  a: NotedConditions,
  b: NotedConditions,
  tried: readonly Condition[] = [],
): OtherDifference[] {
  return CONDITIONS.filter((condition) => !tried.includes(condition)).flatMap((condition) => {
    const [ofA, ofB] = [sorted(a[condition]), sorted(b[condition])];
    // Where nothing was noted nothing is known to differ.
    if (ofA.length === 0 || ofB.length === 0) return [];
    return ofA.join('\n') === ofB.join('\n') ? [] : [{ condition, a: ofA, b: ofB }];
  });
}

const inWords = ({ condition, a, b }: OtherDifference): string =>
  `${condition} (${a.join(', ')} against ${b.join(', ')})`;

/** Nothing is common to both: what differs cannot be told from what was tried. */
const isApart = ({ a, b }: OtherDifference): boolean => !a.some((value) => b.includes(value));

/** Whether a difference could as well come from something else than what was tried. */
export const isUnfair = (differences: readonly OtherDifference[]): boolean =>
  differences.some(isApart);

/**
 * In what else two sides differ, in a sentence: where nothing is common to both the comparison is not fair, where
 * something is it is to be borne in mind; null where they differ in nothing else.
 */
export function unfairSentence(differences: readonly OtherDifference[]): string | null {
  const apart = differences.filter(isApart);
  const partly = differences.filter((one) => !isApart(one));
  const parts = [
    ...(apart.length === 0
      ? []
      : [
          `Not a fair comparison: they also differ in ${apart.map(inWords).join('; ')}. Any of that may have done it.`,
        ]),
    ...(partly.length === 0
      ? []
      : [`Bear in mind that they partly differ in ${partly.map(inWords).join('; ')}.`]),
  ];
  return parts.length === 0 ? null : parts.join(' ');
}
