/** The letter by which a way of doing it stands in the order of a plan. */
export type Way = 'A' | 'B' | 'C' | 'D';

export const WAYS: readonly Way[] = ['A', 'B', 'C', 'D'];

/** In how many ways a plan is driven: without and with one change, or with neither, each and both of two. */
export const wayCounts = (changes: number): 2 | 4 => (changes === 2 ? 4 : 2);

/** What each way is, in words: "without start jig", "start jig"; of two changes "neither … nor …", each, and both. */
export function wayLabels(changes: readonly string[]): string[] {
  const [first = '', second] = changes;
  return second === undefined
    ? [`without ${first}`, first]
    : [`neither ${first} nor ${second}`, first, second, `${first} and ${second}`];
}
