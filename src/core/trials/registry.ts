import { GAUGE_TRIAL } from './gauge';
import type { TrialKind } from './kind';
import { PLACING_TRIAL } from './placing';
import { SPEED_TRIAL } from './speed';
import { SQUARING_TRIAL } from './squaring';

/** Kinds of trial by the procedure whose lists hold them. */
export const TRIAL_KINDS: Readonly<Record<string, TrialKind>> = {
  speed: SPEED_TRIAL,
  squaring: SQUARING_TRIAL,
  placing: PLACING_TRIAL,
  gauge: GAUGE_TRIAL,
};
