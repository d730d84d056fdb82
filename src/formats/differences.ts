/** One value that differs between two records: where it stands, and both values. */
export interface ValueDifference {
  path: string;
  mine: unknown;
  theirs: unknown;
}

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null;

/** Every leaf value that differs between two JSON values. */
export function differingValues(mine: unknown, theirs: unknown, path = ''): ValueDifference[] {
  if (isObject(mine) && isObject(theirs)) {
    const keys = new Set([...Object.keys(mine), ...Object.keys(theirs)]);
    return [...keys].flatMap((key) =>
      differingValues(mine[key], theirs[key], path === '' ? key : `${path}.${key}`),
    );
  }
  return Object.is(mine, theirs) ? [] : [{ path, mine, theirs }];
}
