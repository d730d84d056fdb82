import { compareSeries, type Comparison } from '../../core/compare/compareSeries';
import {
  otherDifferences,
  unfairSentence,
  type Condition,
  type NotedConditions,
} from '../../core/compare/conditions';
import { alongAcross, type Pose } from '../../core/geometry/pose';
import { consistency, type Consistency, type MeasuredRun } from '../../core/runs/consistency';
import { isSelected, partText, type Selection } from '../../formats/selection';
import type { SavedRun } from '../../formats/records';
import type { Database } from '../database';
import { remembered } from './remembered';
import { seriesWithContext, type SeriesContext } from './seriesContext';

/** Along the planned travel, across it to the left. */
const ORIGIN: Pose = { xM: 0, yM: 0, headingRad: 0 };

/** One side of a comparison, its ends in the planned direction of travel. */
export interface ComparedSide {
  context: SeriesContext;
  selection: Selection;
  /** What part of the series it is; empty for all of it. */
  part: string;
  /** Without those set aside. */
  runs: SavedRun[];
  ends: (MeasuredRun & { number: number })[];
  figures: Consistency;
}

export interface Compared {
  a: ComparedSide;
  b: ComparedSide;
  comparison: Comparison | null;
  /** Why it is not fair, in a sentence. */
  unfair: string | null;
}

async function sideOf(db: Database, selection: Selection): Promise<ComparedSide> {
  const context = await seriesWithContext(db, selection.series);
  const { headingRad } = context.target;
  const runs = context.runs.filter(
    (run) => run.setAsideReason === null && isSelected(selection)(run),
  );
  const ends = runs.map(({ number, endXM, endYM, worked }) => {
    if (endXM === null || endYM === null) return { number, success: worked };
    const { alongM, acrossM } = alongAcross({ xM: endXM, yM: endYM }, headingRad);
    return { number, xM: alongM, yM: acrossM, success: worked };
  });
  const part = partText(selection);
  return { context, selection, part, runs, ends, figures: consistency(ORIGIN, ends) };
}

const noted = ({ context, runs }: ComparedSide): NotedConditions => ({
  robot: [context.robot.name],
  table: [context.series.tableLabel ?? context.course.name],
  battery: runs.flatMap(({ battery }) => battery ?? []),
  'placed by': runs.flatMap(({ placedBy }) => placedBy ?? []),
});

/** What was chosen to differ is what was tried. */
const triedBy = (a: Selection, b: Selection): Condition[] => [
  ...(a.person !== b.person ? (['placed by'] as const) : []),
  ...(a.battery !== b.battery ? (['battery'] as const) : []),
];

/** All ways of dealing the runs anew are looked at once. */
const comparisonOf = remembered(([a, b]: [MeasuredRun[], MeasuredRun[]]) =>
  compareSeries(a, b, ORIGIN),
);

/** Two selections of runs, compared. */
export async function compared(db: Database, a: Selection, b: Selection): Promise<Compared> {
  const [sideA, sideB] = await Promise.all([sideOf(db, a), sideOf(db, b)]);
  return {
    a: sideA,
    b: sideB,
    comparison: comparisonOf([sideA.ends, sideB.ends]),
    unfair: unfairSentence(otherDifferences(noted(sideA), noted(sideB), triedBy(a, b))),
  };
}
