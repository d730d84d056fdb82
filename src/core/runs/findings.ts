import { alongAcross, type Pose } from '../geometry/pose';
import { mean, sampleSd } from '../stats/moments';
import { wilson, type SuccessRate } from '../stats/wilson';
import type { AlongAcrossFigures } from './alongAcrossFigures';
import { allOfPlanned, type AllWorked } from './allOfPlanned';
import { consistency, type Consistency, type MeasuredRun } from './consistency';
import { orderSentence } from './orderSentence';
import { orderStretches, type Stretch } from './orderStretches';
import { verdict, type Verdict } from './verdict';

/** A run as far as findings look at it. Poses are offsets from the planned end, in table x and y. */
export interface LoggedRun extends MeasuredRun {
  number: number;
  placedBy: string | null;
  battery: string | null;
  /** Per mission id: worked or not; missions not noted are absent. */
  missions: Readonly<Record<string, boolean>>;
  setAside: boolean;
}

/** The runs that share one value of something, such as who placed the robot. */
export interface RunGroup {
  name: string;
  n: number;
  nPose: number;
  success: SuccessRate | null;
  figures: AlongAcrossFigures | null;
}

export interface SeriesFindings {
  verdict: Verdict;
  end: Consistency;
  travel: AlongAcrossFigures | null;
  setAside: number;
  missions: { id: string; success: SuccessRate }[];
  /** Set when every planned run was made and worked. */
  allWorked: AllWorked | null;
  /** End errors (distance from the target, metres) in the order of the runs, with the run numbers. */
  errors: { numbers: number[]; valuesM: number[]; stretches: Stretch[]; sentence: string };
  byPlacer: RunGroup[];
  byBattery: RunGroup[];
}

const isPlaced = (run: LoggedRun): run is LoggedRun & { xM: number; yM: number } =>
  typeof run.xM === 'number' && typeof run.yM === 'number';

const finite = (value: number) => (Number.isFinite(value) ? value : null);

/** Bias and scatter along and across the heading of the target; null without a measured place. */
export function travelFigures(
  headingRad: number,
  runs: readonly LoggedRun[],
): AlongAcrossFigures | null {
  const offsets = runs.filter(isPlaced).map((run) => alongAcross(run, headingRad));
  if (offsets.length === 0) return null;
  const along = offsets.map((offset) => offset.alongM);
  const across = offsets.map((offset) => offset.acrossM);
  return {
    biasAlongM: mean(along),
    biasAcrossM: mean(across),
    sdAlongM: finite(sampleSd(along)),
    sdAcrossM: finite(sampleSd(across)),
  };
}

function groupBy(
  runs: readonly LoggedRun[],
  headingRad: number,
  nameOf: (run: LoggedRun) => string | null,
): RunGroup[] {
  const groups = new Map<string, LoggedRun[]>();
  for (const run of runs) {
    const name = nameOf(run) ?? 'not noted';
    groups.set(name, [...(groups.get(name) ?? []), run]);
  }
  return [...groups]
    .map(([name, members]) => ({
      name,
      n: members.length,
      nPose: members.filter(isPlaced).length,
      success: successOf(members.map((run) => run.success)),
      figures: travelFigures(headingRad, members),
    }))
    .sort((a, b) => a.name.localeCompare(b.name, 'en'));
}

function successOf(results: readonly (boolean | null | undefined)[]): SuccessRate | null {
  const known = results.filter((result) => typeof result === 'boolean');
  return wilson(known.filter(Boolean).length, known.length);
}

function inOrder(runs: readonly LoggedRun[]): SeriesFindings['errors'] {
  const placed = runs.filter(isPlaced);
  const numbers = placed.map((run) => run.number);
  const ordered = placed.map(({ xM, yM, placedBy, battery }) => ({
    valueM: Math.hypot(xM, yM),
    placedBy,
    battery,
  }));
  const stretches = orderStretches(ordered);
  return {
    numbers,
    valuesM: ordered.map(({ valueM }) => valueM),
    stretches,
    sentence: orderSentence(ordered, stretches, numbers),
  };
}

/**
 * Everything that a series of runs says: where the robot ends, how far apart, how sure that is.
 *
 * @param headingRad the planned heading at the end, which "along" and "across" refer to
 * @param runs in the order in which they were made; those set aside are counted and left out
 * @param plannedRuns how many runs had been planned before the first
 */
export function seriesFindings(
  headingRad: number,
  runs: readonly LoggedRun[],
  plannedRuns: number,
): SeriesFindings {
  const used = runs.filter((run) => !run.setAside);
  const origin: Pose = { xM: 0, yM: 0, headingRad: 0 };
  const end = consistency(origin, used);
  const travel = travelFigures(headingRad, used);
  const allWorked = allOfPlanned(runs, plannedRuns);
  const missionIds = [...new Set(used.flatMap((run) => Object.keys(run.missions)))];
  return {
    verdict: verdict(end, travel, allWorked),
    end,
    travel,
    setAside: runs.length - used.length,
    missions: missionIds.flatMap((id) => {
      const success = successOf(used.map((run) => run.missions[id]));
      return success === null ? [] : [{ id, success }];
    }),
    allWorked,
    errors: inOrder(used),
    byPlacer: groupBy(used, headingRad, (run) => run.placedBy),
    byBattery: groupBy(used, headingRad, (run) => run.battery),
  };
}
