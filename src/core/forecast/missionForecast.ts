import type { Target } from '../table/targets';
import type { Consistency } from '../runs/consistency';
import type { SuccessRate } from '../stats/wilson';

/** How the simulated runs stand at one mission. */
export interface MissionForecast {
  /** Or a part of one. */
  mission: Target;
  /** Share of all runs whose pose at the mark lies in the mission's window. */
  chance: SuccessRate;
  /** Between which chances that of this very robot lies, 95 %. */
  low: number;
  high: number;
  /** Poses at the (first) mark, against the mission's pose; null where no run got there. */
  scatter: Consistency | null;
  /** Why it works in so few runs; null where it works in most. */
  why: string | null;
}
