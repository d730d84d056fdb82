import type { BenchTrialsRecord } from './benchRecords';
import { differingValues } from './differences';

/** A value that was changed in two places, differently. */
export interface Clash {
  path: string;
  mine: unknown;
  theirs: unknown;
}

type Fields = Record<string, unknown>;

const isSame = (a: unknown, b: unknown): boolean => differingValues(a, b).length === 0;

/** Each field from whoever changed it; where both did, mine, and it is said. */
function mergedFields(base: Fields, mine: Fields, theirs: Fields, path: string) {
  const clashes: Clash[] = [];
  const merged = { ...theirs };
  for (const key of Object.keys({ ...theirs, ...mine })) {
    if (isSame(mine[key], base[key])) continue;
    merged[key] = mine[key];
    if (isSame(theirs[key], base[key]) || isSame(mine[key], theirs[key])) continue;
    clashes.push({ path: `${path}.${key}`, mine: mine[key], theirs: theirs[key] });
  }
  return { merged, clashes };
}

type Trial = BenchTrialsRecord['trials'][number];

const byId = (trials: readonly Trial[]) => new Map(trials.map((trial) => [trial.id, trial]));

/**
 * Two lists that were made from one: what either has changed, added or taken out is in both. A trial that one took
 * out and the other changed stays.
 *
 * @param base what both began with
 * @returns the list as a change of theirs, and what was changed in both places: there, mine stands
 */
export function mergedTrials<T extends BenchTrialsRecord>(
  base: T,
  mine: T,
  theirs: T,
): { record: T; clashes: Clash[] } {
  const [before, own, other] = [byId(base.trials), byId(mine.trials), byId(theirs.trials)];
  const ids = [...new Set([...other.keys(), ...own.keys()])].filter((id) => {
    const was = before.get(id);
    if (was === undefined) return true;
    const [here, there] = [own.get(id), other.get(id)];
    if (here === undefined) return !isSame(there, was);
    return there !== undefined || !isSame(here, was);
  });
  const clashes: Clash[] = [];
  const trials = ids.map((id, i) => {
    const there = other.get(id) ?? own.get(id);
    const found = mergedFields(
      before.get(id) ?? {},
      own.get(id) ?? before.get(id) ?? {},
      there ?? {},
      `trials.${i}`,
    );
    clashes.push(...found.clashes);
    return found.merged as Trial;
  });
  const conditions = mergedFields(
    base.conditions,
    mine.conditions,
    theirs.conditions,
    'conditions',
  );
  const record = { ...theirs, conditions: conditions.merged, trials } as T;
  if (mine.archivedAt !== base.archivedAt) record.archivedAt = mine.archivedAt;
  return { record, clashes: [...clashes, ...conditions.clashes] };
}
