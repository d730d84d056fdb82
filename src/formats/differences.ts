/** One value that differs between two records: where it stands, and both values. */
export interface ValueDifference {
  path: string;
  mine: unknown;
  theirs: unknown;
}

type Plain = Record<string, unknown>;

const isObject = (value: unknown): value is Plain => typeof value === 'object' && value !== null;

const keysOf = (...values: Plain[]): string[] => [...new Set(values.flatMap(Object.keys))];

/** Lists of different lengths are told apart as a whole: their elements have no place in common. */
const unlikeLists = (mine: unknown, theirs: unknown): boolean =>
  Array.isArray(mine) !== Array.isArray(theirs) ||
  (Array.isArray(mine) && Array.isArray(theirs) && mine.length !== theirs.length);

/** Every leaf value that differs between two JSON values. */
export function differingValues(mine: unknown, theirs: unknown, path = ''): ValueDifference[] {
  if (isObject(mine) && isObject(theirs) && !unlikeLists(mine, theirs)) {
    return keysOf(mine, theirs).flatMap((key) =>
      differingValues(mine[key], theirs[key], path === '' ? key : `${path}.${key}`),
    );
  }
  return Object.is(mine, theirs) ? [] : [{ path, mine, theirs }];
}

/** A copy of a JSON value with another value at a path. */
function withValueAt(value: unknown, [key, ...rest]: readonly string[], put: unknown): unknown {
  if (key === undefined) return put;
  const inner = isObject(value) ? value[key] : undefined;
  const next = withValueAt(inner, rest, put);
  if (Array.isArray(value)) return value.with(Number(key), next);
  const { [key]: _old, ...others } = isObject(value) ? value : {};
  return next === undefined ? others : { ...others, [key]: next };
}

/** My record with their values at the paths that were chosen. */
export const withTheirs = <R>(
  mine: R,
  differences: readonly ValueDifference[],
  chosen: ReadonlySet<string>,
): R =>
  differences
    .filter(({ path }) => chosen.has(path))
    .reduce<unknown>(
      (record, { path, theirs }) => withValueAt(record, path.split('.'), theirs),
      mine,
    ) as R;
