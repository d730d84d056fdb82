import { wrap } from '../../geometry/angle';
import type { Readings } from '../controller';

/** Which strategy keeps a drive straight, and by what. */
export type StraightStrategy =
  /** The gyro: gain · heading error. `headingRad`: the reading to hold; null: that of the leg's start. */
  | { strategy: 'heading-hold'; gainMPerSPerRad: number; headingRad: number | null }
  /**
   * The encoders: gain · the difference of the wheels' rolls. `carried`: a difference that was there at the
   * leg's start is taken out as well; else it counts from there.
   */
  | { strategy: 'encoder-balance'; gainPerS: number; carried: boolean }
  /** Nothing: both wheels are told the same. */
  | { strategy: 'open-loop' };

type Of<S extends StraightStrategy['strategy']> = Extract<StraightStrategy, { strategy: S }>;

/** What a drive is steered back to: a heading, or a difference of the wheels' rolls. */
export interface Steered {
  target: number | null;
}

export const unsteered = (): Steered => ({ target: null });

type Steering<S extends StraightStrategy> = (keep: S, kept: Steered, now: Readings) => number;

const STEERINGS: { [S in StraightStrategy['strategy']]: Steering<Of<S>> } = {
  'heading-hold': ({ gainMPerSPerRad, headingRad }, kept, now) => {
    kept.target ??= headingRad ?? now.headingRad;
    return gainMPerSPerRad * wrap(kept.target - now.headingRad);
  },
  'encoder-balance': ({ gainPerS, carried }, kept, now) => {
    const difference = now.rightM - now.leftM;
    kept.target ??= carried ? 0 : difference;
    return gainPerS * (kept.target - difference);
  },
  'open-loop': () => 0,
};

/** How much faster the right wheel is to turn than the left one now, m/s. */
export const steer = (keep: StraightStrategy, kept: Steered, now: Readings): number =>
  (STEERINGS[keep.strategy] as Steering<StraightStrategy>)(keep, kept, now);
