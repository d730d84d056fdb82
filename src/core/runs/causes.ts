/** The first thing that went wrong in a failed run, in words that a team uses; the order is fixed. */
export const CAUSES = [
  'placed askew',
  'turned wrong',
  'wrong distance',
  'sensor missed',
  'hit something',
  'mechanism slipped',
  'stopped on the way',
  'low battery',
  'something else',
] as const;
