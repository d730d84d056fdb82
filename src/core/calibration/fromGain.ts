import type { Robot } from '../robot/robot';
import type { TunedId } from '../robot/tunedIds';
import { SHOWN } from '../control/tuned';
import { delayOf } from '../tuning/delay';
import type { DampingStudy } from '../tuning/damping';
import type { GainStudy, GainTrial } from '../tuning/gainStudy';
import type { CalibrationValue } from './calibration';
import type { FoundUnder } from '../calibrationValues/gains/foundUnder';
import { MOST_GAIN } from '../calibrationValues/gains/mostGain';

/** What a good gain of each controller is kept as. */
const KEPT: Record<TunedId, (gain: number, under: FoundUnder) => CalibrationValue> = {
  turn: (gainPerS, under) => ({ kind: 'turn-gain', gainPerS, ...under }),
  'heading-hold': (gainMPerSPerRad, under) => ({ kind: 'heading-hold', gainMPerSPerRad, ...under }),
  balance: (gainPerS, under) => ({ kind: 'balance-gain', gainPerS, ...under }),
  wall: (gainRadPerSPerM, under) => ({ kind: 'wall-gain', gainRadPerSPerM, ...under }),
  line: (gainRadPerSPerShare, under) => ({ kind: 'line-gain', gainRadPerSPerShare, ...under }),
};

/** What a gain was tried with. */
export interface TriedWith {
  controller: TunedId;
  /** As it was measured. */
  robot: Robot;
  speed: number;
  /** At which speeds the simulator finds it good as well; null: it was not asked, or at none. */
  holds?: { slowest: number; fastest: number } | null;
  /** What was tuned second; null: its program has none, or it is not found yet. */
  damping?: DampingStudy | null;
}

/** A gain that was found good, to be computed with and typed; null while it is not, or where no program has such a one. */
export function calibrationFromGain(
  { gain, isFound }: GainStudy,
  trials: readonly GainTrial[],
  { controller, robot, speed, holds = null, damping = null }: TriedWith,
): CalibrationValue | null {
  if (!isFound || gain === 0 || !(Math.abs(gain) <= MOST_GAIN[controller])) return null;
  return KEPT[controller](gain, {
    looks: trials.length,
    speed,
    slowest: holds?.slowest ?? null,
    fastest: holds?.fastest ?? null,
    aheadM: SHOWN[controller].sensor?.(robot)?.place.aheadM ?? null,
    delayS: delayOf(robot, controller),
    damping: damping?.isFound === true ? damping.damping : null,
    integral: damping?.isFound === true ? damping.integral : null,
  });
}
