import { balance } from './balance';
import type { TunedController } from './controller';
import { headingHold } from './headingHold';
import { line } from './line';
import { turn } from './turn';
import { wall } from './wall';

/** All controllers whose gain is tuned, in the order in which a season needs them. */
export const TUNED: readonly TunedController[] = [turn, headingHold, balance, wall, line];
