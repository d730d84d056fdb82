import { GAUGE_TRIAL } from './gauge';
import type { TrialKind } from './kind';
import { PLACING_TRIAL } from './placing';
import { SPEED_TRIAL } from './speed';
import { SQUARING_TRIAL } from './squaring';
import { STOP_TRIAL } from './stop';
import { STRAIGHT_TRIAL } from './straight';

/** Kinds of trial by the procedure whose lists hold them. */
export const TRIAL_KINDS: Readonly<Record<string, TrialKind>> = {
  straight: STRAIGHT_TRIAL,
  stop: STOP_TRIAL,
  speed: SPEED_TRIAL,
  squaring: SQUARING_TRIAL,
  placing: PLACING_TRIAL,
  gauge: GAUGE_TRIAL,
};
