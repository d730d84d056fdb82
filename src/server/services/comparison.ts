import { compareSeries, type Comparison } from '../../core/compare/compareSeries';
import {
  isUnfair,
  otherDifferences,
  unfairSentence,
  type Condition,
  type NotedConditions,
} from '../../core/compare/conditions';
import { alongAcross, type Pose } from '../../core/geometry/pose';
import { consistency, type Consistency, type MeasuredRun } from '../../core/runs/consistency';
import { partText, type Selection } from '../../formats/runs/selection';
import type { TeamDatabase } from '../database';
import { selectedRuns, type Selected, type SelectedRun } from '../stores/selectedRuns';
import { remembered } from './remembered';

/** Along the planned travel, across it to the left. */
export const ORIGIN: Pose = { xM: 0, yM: 0, headingRad: 0 };

/** One side of a comparison, its ends in the planned direction of travel. */
export interface ComparedSide extends Selected {
  selection: Selection;
  /** What part of it is meant; empty for all of it. */
  part: string;
  ends: (MeasuredRun & { number: number })[];
  figures: Consistency;
}

export interface Compared {
  a: ComparedSide;
  b: ComparedSide;
  comparison: Comparison | null;
  /** In what else the sides differ, in a sentence; null where in nothing. */
  unfair: string | null;
  /** Whether nothing else than what was tried can have done it, as far as it was noted. */
  isFair: boolean;
}

/** Where a run ended in the direction in which it was planned to drive, and whether it worked. */
export function endOf({ run, headingRad }: SelectedRun): MeasuredRun & { number: number } {
  const { number, endXM, endYM, worked } = run;
  if (endXM === null || endYM === null) return { number, success: worked };
  const { alongM, acrossM } = alongAcross({ xM: endXM, yM: endYM }, headingRad);
  return { number, xM: alongM, yM: acrossM, success: worked };
}

const figuresOf = remembered((ends: MeasuredRun[]) => consistency(ORIGIN, ends));

async function sideOf(db: TeamDatabase, selection: Selection): Promise<ComparedSide> {
  const selected = await selectedRuns(db, selection);
  const ends = selected.runs.map(endOf);
  return {
    ...selected,
    selection,
    part: partText(selection),
    ends,
    figures: figuresOf(ends),
  };
}

const noted = ({ runs }: ComparedSide): NotedConditions => ({
  robot: runs.map(({ series }) => series.robotName),
  'route version': runs.map(({ series }) => `${series.routeName} ${series.versionNumber}`),
  table: runs.map(({ series }) => series.tableLabel ?? series.courseName),
  battery: runs.flatMap(({ run }) => run.battery ?? []),
  'placed by': runs.flatMap(({ run }) => run.placedBy ?? []),
});

/** What was chosen to differ is what was tried: between two series or versions, the version. */
const triedBy = (a: Selection, b: Selection): Condition[] => [
  ...(a.of === 'route' && b.of === 'route' ? [] : (['route version'] as const)),
  ...(a.person !== b.person ? (['placed by'] as const) : []),
  ...(a.battery !== b.battery ? (['battery'] as const) : []),
];

/** All ways of dealing the runs anew are looked at once. */
const comparisonOf = remembered(([a, b]: [MeasuredRun[], MeasuredRun[]]) =>
  compareSeries(a, b, ORIGIN),
);

/** Two selections of runs, compared. */
export async function compared(db: TeamDatabase, a: Selection, b: Selection): Promise<Compared> {
  const [sideA, sideB] = await Promise.all([sideOf(db, a), sideOf(db, b)]);
  const differences = otherDifferences(noted(sideA), noted(sideB), triedBy(a, b));
  return {
    a: sideA,
    b: sideB,
    comparison: comparisonOf([sideA.ends, sideB.ends]),
    unfair: unfairSentence(differences),
    isFair: !isUnfair(differences),
  };
}
