import { plannedVerdict, tooFewFor } from '../../core/compare/plan/plannedVerdict';
import { twoByTwo, type FourWays } from '../../core/compare/plan/twoByTwo';
import { meanText, sideFigure } from '../../core/compare/plan/figures';
import { NOT_YET, twoByTwoSentences } from '../../core/compare/plan/twoByTwoSentences';
import { wayLabels, WAYS } from '../../core/compare/plan/ways';
import { consistency, type Consistency, type MeasuredRun } from '../../core/runs/consistency';
import type { PlanSoFar } from '../../formats/runs/planSoFar';
import type { RunPlanRecord } from '../../formats/runs/runPlan';
import type { TeamDatabase } from '../database';
import { countingRuns, findPlan } from '../stores/runPlans';
import { selectedRuns } from '../stores/selectedRuns';
import { endOf, ORIGIN } from './comparison';

/** How far a plan is; null where there is none. */
export async function planSoFar(
  db: TeamDatabase,
  planId: string | null,
): Promise<{ plan: RunPlanRecord; soFar: PlanSoFar } | null> {
  const plan = planId === null ? null : await findPlan(db, planId);
  if (plan === null) return null;
  const counts = await countingRuns(db, plan.seriesIds);
  const labels = wayLabels(plan.changes);
  const ways = plan.seriesIds.map((seriesId, i) => ({
    way: WAYS[i] ?? 'A',
    label: labels[i] ?? '',
    seriesId,
    runs: counts[i] ?? 0,
  }));
  return { plan, soFar: { id: plan.id, perSeries: plan.perSeries, ways } };
}

/** What a plan says, for its page. */
export interface PlanFindings {
  sentences: string[];
  isOver: boolean;
  /** Mean figure of each way in words; null before it may be looked at. */
  figures: string[] | null;
  clouds: [Cloud, Cloud] | null;
}

interface Cloud {
  name: string;
  ends: MeasuredRun[];
  figures: Consistency;
}

async function endsOf(db: TeamDatabase, seriesId: string): Promise<MeasuredRun[]> {
  const { runs } = await selectedRuns(db, { of: 'series', id: seriesId });
  return runs.map(endOf);
}

function ofOneChange(
  plan: RunPlanRecord,
  { ways }: PlanSoFar,
  ends: MeasuredRun[][],
): PlanFindings {
  const [a = [], b = []] = ends;
  const { sentence, isOver, comparison, look } = plannedVerdict(plan, a, b, ORIGIN);
  if (comparison === null) return { sentences: [sentence], isOver, figures: null, clouds: null };
  const cloud = (runs: MeasuredRun[], i: number): Cloud => {
    const looked = runs.slice(0, look.runsEach);
    return { name: ways[i]?.label ?? '', ends: looked, figures: consistency(ORIGIN, looked) };
  };
  const figures = [comparison.a, comparison.b].map((side) => sideFigure(plan.about, side));
  return { sentences: [sentence], isOver, figures, clouds: [cloud(a, 0), cloud(b, 1)] };
}

function ofTwoChanges(
  plan: RunPlanRecord,
  { ways }: PlanSoFar,
  ends: MeasuredRun[][],
  changes: readonly [string, string],
): PlanFindings {
  const nothing = { figures: null, clouds: null };
  if (ways.some(({ runs }) => runs < plan.perSeries)) {
    return { ...nothing, sentences: [NOT_YET], isOver: false };
  }
  const planned = ends.map((runs) => runs.slice(0, plan.perSeries));
  const found = twoByTwo(plan.about, planned as unknown as FourWays<MeasuredRun[]>, ORIGIN);
  if (found === null) return { ...nothing, sentences: [tooFewFor(plan.about)], isOver: true };
  const [first, second, together, keep] = twoByTwoSentences(plan.about, changes, found);
  return {
    // What to do comes first.
    sentences: [keep, first, second, together].filter((one) => one !== undefined),
    isOver: true,
    figures: found.means.map((value) => meanText(plan.about, value)),
    clouds: null,
  };
}

/** What the runs of a plan say so far; before it may be looked at, nothing. */
export async function planFindings(
  db: TeamDatabase,
  { plan, soFar }: { plan: RunPlanRecord; soFar: PlanSoFar },
): Promise<PlanFindings> {
  const ends = await Promise.all(plan.seriesIds.map((id) => endsOf(db, id)));
  const [first = '', second] = plan.changes;
  return second === undefined
    ? ofOneChange(plan, soFar, ends)
    : ofTwoChanges(plan, soFar, ends, [first, second]);
}
