import type { Point } from '../geometry/pose';
import type { MeasuredRun } from '../runs/consistency';

/** Whether somebody measured where a run ended. */
export const isPlaced = (run: MeasuredRun): run is MeasuredRun & Point =>
  typeof run.xM === 'number' && typeof run.yM === 'number';
