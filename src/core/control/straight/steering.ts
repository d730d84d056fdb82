import { wrap } from '../../geometry/angle';
import type { Readings } from '../controller';

/** How much faster the right wheel is to turn than the left one now, m/s; it keeps its own state. */
export type Steering = (now: Readings) => number;

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

function headingHold({ gainMPerSPerRad, headingRad }: Of<'heading-hold'>): Steering {
  let target = headingRad;
  return (now) => {
    const reading = now.headingRad;
    target ??= reading;
    return gainMPerSPerRad * wrap(target - reading);
  };
}

function encoderBalance({ gainPerS, carried }: Of<'encoder-balance'>): Steering {
  let from: number | null = carried ? 0 : null;
  return (now) => {
    const difference = now.rightM - now.leftM;
    from ??= difference;
    return gainPerS * (from - difference);
  };
}

/** The steering of a strategy. */
export function steeringOf(keep: StraightStrategy): Steering {
  switch (keep.strategy) {
    case 'heading-hold':
      return headingHold(keep);
    case 'encoder-balance':
      return encoderBalance(keep);
    case 'open-loop':
      return () => 0;
  }
}
