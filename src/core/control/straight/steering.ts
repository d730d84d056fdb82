import { wrap } from '../../geometry/angle';
import type { Readings } from '../controller';

/** Which strategy keeps a drive straight, and by what. */
export type StraightStrategy =
  /** The gyro: gain · heading error. `headingRad`: the reading to hold; null: that of the leg's start. */
  | { strategy: 'heading-hold'; gainMPerSPerRad: number; headingRad: number | null }
  /**
   * The encoders: gain · the difference of the wheels' rolls. `differenceM`: the one to keep; null: that of the leg's
   * start.
   */
  | { strategy: 'encoder-balance'; gainPerS: number; differenceM: number | null }
  /** Nothing: both wheels are told the same. */
  | { strategy: 'open-loop' };

/** What a drive is steered back to: a heading, or a difference of the wheels' rolls. */
export interface Steered {
  target: number | null;
}

/** How much faster the right wheel is to turn than the left one now, m/s. */
export function steer(keep: StraightStrategy, kept: Steered, now: Readings): number {
  switch (keep.strategy) {
    case 'heading-hold': {
      const reading = now.headingRad;
      kept.target ??= keep.headingRad ?? reading;
      return keep.gainMPerSPerRad * wrap(kept.target - reading);
    }
    case 'encoder-balance': {
      const difference = now.rightM - now.leftM;
      kept.target ??= keep.differenceM ?? difference;
      return keep.gainPerS * (kept.target - difference);
    }
    case 'open-loop':
      return 0;
  }
}
