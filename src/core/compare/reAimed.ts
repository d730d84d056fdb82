import type { Pose } from '../geometry/pose';
import type { MeasuredRun } from '../runs/consistency';
import { meanPoint } from '../stats/covariance';
import { wilson, type SuccessRate } from '../stats/wilson';
import { isPlaced } from './placed';

/** Runs with an end, of which it is known whether they worked, that tell from where they do. */
const LEAST_OF_EACH = 2;
/** Where the distance from the target decides less often than this whether a run works, it does not decide. */
const LEAST_RIGHT = 0.8;

interface Judged {
  far: number;
  worked: boolean;
}

/**
 * Within which distance of the target runs work: the one that is right about most of them.
 *
 * @returns null where too few failed or worked to tell, or where something else decides
 */
function worksWithinM(runs: readonly Judged[]): number | null {
  const worked = runs.filter((run) => run.worked).length;
  if (Math.min(worked, runs.length - worked) < LEAST_OF_EACH) return null;
  const right = (limit: number) =>
    runs.filter(({ far, worked: did }) => did === far <= limit).length / runs.length;
  const limits = runs.map(({ far }) => far);
  const best = limits.reduce((a, b) => (right(b) > right(a) ? b : a), limits[0] ?? 0);
  return right(best) >= LEAST_RIGHT ? best : null;
}

/**
 * How often a series would work if its middle were brought to the target, and stayed there: its ends moved by its own
 * offset, against the distance within which runs of both series work.
 *
 * @returns null where the ends do not tell which runs work
 */
export function successReAimed(
  a: readonly MeasuredRun[],
  b: readonly MeasuredRun[],
  target: Pose,
): SuccessRate | null {
  const judged = [...a, ...b]
    .filter(isPlaced)
    .flatMap((run): Judged[] =>
      typeof run.success === 'boolean'
        ? [{ far: Math.hypot(run.xM - target.xM, run.yM - target.yM), worked: run.success }]
        : [],
    );
  const limitM = worksWithinM(judged);
  const ends = b.filter(isPlaced);
  if (limitM === null || ends.length === 0) return null;
  const middle = meanPoint(ends);
  const would = ends.filter(
    ({ xM, yM }) => Math.hypot(xM - middle.xM, yM - middle.yM) <= limitM,
  ).length;
  return wilson(would, ends.length);
}
