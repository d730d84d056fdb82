import type { PlannedStep } from '../course/plan';

/** What the wheels, and a trailing caster behind them, did before a drive: went the other way, or turned the robot. */
export type Before = 'the other way' | 'a turn';

/**
 * Before which drives of a plan the robot went the other way, or turned. Before its first motion it stood as it was placed,
 * whichever way that was: nobody knows, and nothing is told of it.
 */
export function beforeDrives(plan: readonly PlannedStep[]): (Before | null)[] {
  let last: -1 | 0 | 1 | null = null;
  return plan.map(({ distanceM, angleRad }) => {
    if (distanceM === 0) {
      if (angleRad !== 0) last = 0;
      return null;
    }
    const way = distanceM < 0 ? -1 : 1;
    const before = last === 0 ? 'a turn' : last === -way ? 'the other way' : null;
    last = way;
    return before;
  });
}

/** In a turn a caster swings by a quarter, at a reversal by a half. */
export const KICK_SHARE: Record<Before, number> = { 'the other way': 1, 'a turn': 0.5 };
