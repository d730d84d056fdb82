import { WAYS, type Way } from './ways';

/** A run of the order: which way it is, and whether it was made. */
export interface PlannedRun {
  way: Way;
  isMade: boolean;
}

export interface PlanProgress {
  order: PlannedRun[];
  made: number;
  /** Whose turn it is; null when all are made. */
  next: Way | null;
}

/**
 * How far a plan is, from how many runs of each way count. A run that was made out of its turn takes the next place
 * of its way, so that the order goes on from there.
 *
 * @param counts runs of A, B, … that count
 */
export function planProgress(order: readonly Way[], counts: readonly number[]): PlanProgress {
  const left = new Map(WAYS.map((way, i) => [way, counts[i] ?? 0]));
  const runs = order.map((way): PlannedRun => {
    const of = left.get(way) ?? 0;
    left.set(way, of - 1);
    return { way, isMade: of > 0 };
  });
  return {
    order: runs,
    made: runs.filter(({ isMade }) => isMade).length,
    next: runs.find(({ isMade }) => !isMade)?.way ?? null,
  };
}
