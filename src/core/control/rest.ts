import {
  controller,
  halt,
  tick,
  type Controller,
  type Law,
  type Readings,
  type Said,
  type WheelSpeeds,
} from './controller';
import { SETTLE_S } from './settings';

/** A loop's period is no whole number of binary fractions. */
const ROUNDING_S = 1e-9;

/** Until when it stands: from its first tick on. */
export interface Standing {
  untilS: number | null;
}

/** Whether it stands still for longer. */
export function standsOn(
  durationS: number,
  kept: Standing,
  now: Readings,
  wheels: WheelSpeeds,
): Said {
  kept.untilS ??= now.timeS + durationS - ROUNDING_S;
  halt(wheels);
  return now.timeS < kept.untilS ? 'go on' : 'done';
}

const RESTS: Law<{ durationS: number }, Standing> = {
  begin: () => ({ untilS: null }),
  tick: ({ durationS }, kept, now, wheels) => standsOn(durationS, kept, now, wheels),
};

/** Stand still for a while. */
export const rest = (durationS: number): Controller => controller(RESTS, { durationS });

const SETTLES: Law<Controller, Standing & { isOver: boolean }> = {
  begin: () => ({ untilS: null, isOver: false }),
  tick(motion, kept, now, wheels) {
    if (!kept.isOver) {
      const said = tick(motion, now, wheels);
      if (said !== 'done') return said;
      kept.isOver = true;
    }
    return standsOn(SETTLE_S, kept, now, wheels);
  },
};

/** A motion, and the time in which the robot comes to rest after it. */
export const settled = (motion: Controller): Controller => controller(SETTLES, motion);
