import { balance } from './balance';
import type { TunedController } from './controller';
import { headingHold } from './headingHold';
import { line } from './line';
import type { TunedId } from '../../robot/tunedIds';
import { turn } from './turn';
import { wall } from './wall';

/** All controllers whose gain is tuned, in the order in which a season needs them. */
export const TUNED: readonly TunedController[] = [turn, headingHold, balance, wall, line];

/** The controller of a name. */
export function tunedController(id: TunedId): TunedController {
  const found = TUNED.find((one) => one.id === id);
  if (found === undefined) throw new RangeError(`there is no controller ${id}`);
  return found;
}
