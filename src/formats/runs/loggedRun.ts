import type { LoggedRun } from '../../core/runs/findings';
import type { SavedRun } from '../records';

/** A stored run as the findings look at it. */
export const toLoggedRun = (run: SavedRun): LoggedRun => ({
  number: run.number,
  xM: run.endXM,
  yM: run.endYM,
  headingRad: run.endHeadingRad,
  success: run.worked,
  placedBy: run.placedBy,
  battery: run.battery,
  missions: run.missions,
  setAside: run.setAsideReason !== null,
});
