import type { Way } from '../../core/compare/plan/ways';

/** How far a plan of runs is, for the screens at which its runs are made. */
export interface PlanSoFar {
  id: string;
  perSeries: number;
  /** In the order of their letters. */
  ways: { way: Way; label: string; seriesId: string; runs: number }[];
}
