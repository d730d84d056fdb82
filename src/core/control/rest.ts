import { controller, halt, type Controller, type Tick } from './controller';
import { SETTLE_S } from './settings';

/** A loop's period is no whole number of binary fractions. */
const ROUNDING_S = 1e-9;

/** For how long it stands, and until when: from its first tick on. */
export interface Standing {
  durationS: number;
  untilS: number | null;
}

/** Stands still, and says whether for longer. */
export const stand: Tick<Standing> = (state, now, wheels) => {
  state.untilS ??= now.timeS + state.durationS - ROUNDING_S;
  halt(wheels);
  return now.timeS < state.untilS ? 'go on' : 'done';
};

/** Stand still for a while. */
export const rest = (durationS: number): Controller =>
  controller(stand, { durationS, untilS: null });

/** A motion, and the time in which the robot comes to rest after it. */
export const settled = (motion: Controller): Controller => ({ ...motion, restS: SETTLE_S });
