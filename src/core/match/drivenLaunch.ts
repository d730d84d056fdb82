import type { SimulatedRun } from '../forecast/simulatedRun';
import { atMark } from '../forecast/points';
import { isInWindow } from '../geometry/pose';
import { median } from '../stats/median';
import type { Target } from '../table/targets';
import type { Launch } from './match';

/** A target that a run came to in its window, and when. */
interface Hit {
  target: Target;
  atS: number;
}

/** One run of a launch, as a match asks for it. */
export interface Attempt {
  hits: Hit[];
  endS: number;
  isFailed: boolean;
}

/** A launch with the simulated runs of its route, of which so many one after the other are of the same robot. */
export interface DrivenLaunch extends Pick<
  Launch,
  'id' | 'routeId' | 'changeOversS' | 'whenFailed'
> {
  attempts: Attempt[];
  /** What its runs take, half of them. */
  medianS: number;
}

/**
 * What a run did, in the order in which it was done.
 *
 * @param targets all that its route works
 */
function attemptOf(run: SimulatedRun, targets: readonly Target[]): Attempt {
  const hits = targets.flatMap((target) => {
    const pose = atMark(run, target);
    const isHit = pose !== undefined && isInWindow(pose, target.pose, target.window);
    return isHit ? [{ target, atS: pose.timeS, place: run.marks.indexOf(pose) }] : [];
  });
  return {
    hits: hits.toSorted((a, b) => a.place - b.place),
    endS: run.end.timeS,
    isFailed: run.end.failure !== null,
  };
}

/**
 * A launch with what its runs did.
 *
 * @param runs of its route, one at least
 * @param targets all that its route works
 */
export const drivenLaunch = (
  { id, routeId, changeOversS, whenFailed }: Launch,
  runs: readonly SimulatedRun[],
  targets: readonly Target[],
): DrivenLaunch => ({
  ...{ id, routeId, changeOversS, whenFailed },
  attempts: runs.map((run) => attemptOf(run, targets)),
  medianS: median(runs.map(({ end }) => end.timeS)),
});
