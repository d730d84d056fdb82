import { ulid } from 'ulid';
import type { BenchTrialsRecord, TrialListEntry } from '../../../formats/benchRecords';
import type { BenchFacts } from '../procedure';

type TrialsOf<P extends BenchTrialsRecord['procedure']> = Extract<
  BenchTrialsRecord,
  { procedure: P }
>;

/** The lists of a procedure, and the one that its page opens: the wished or newest one, or an empty one. */
export async function openedList<P extends BenchTrialsRecord['procedure']>(
  facts: BenchFacts,
  procedure: P,
  empty: (id: string, robotId: string) => TrialsOf<P>,
): Promise<{ lists: TrialListEntry[]; trials: TrialsOf<P> }> {
  const { lists, open } = await facts.trials(procedure);
  if (open !== null && !facts.wishes.has('new')) return { lists, trials: open };
  const fresh = empty(ulid(), facts.robot.id);
  // What is asked once is taken over from the list before.
  const readToM = open?.conditions.readToM ?? null;
  return { lists, trials: { ...fresh, conditions: { ...fresh.conditions, readToM } } };
}

interface Aside {
  setAsideReason: string | null;
}

/** Those of some trials that were not set aside. */
export const notAside = <T extends Aside>(trials: readonly T[]): T[] =>
  trials.filter(({ setAsideReason }) => setAsideReason === null);

/** The trials of the list that is open which were not set aside, and when it was begun. */
export function usedTrials<T extends Aside>({
  open,
  lists,
}: {
  open: { id: string; trials: readonly T[] } | null;
  lists: readonly TrialListEntry[];
}): { used: T[]; begunAt: Date | null } {
  const begun = lists.find(({ id }) => id === open?.id)?.startedAt;
  return {
    used: notAside(open?.trials ?? []),
    begunAt: begun === undefined ? null : new Date(begun),
  };
}
