/** What a way of turning keeps in mind from one tick to the next. */
export interface KeptInTurn {
  integralRadPerS: number;
  /** When and where it was read before; null: not yet. */
  before: { timeS: number; gyroRad: number } | null;
  /** Since when it has been near and slow enough. */
  settledSinceS: number | null;
}

/** A way of turning by an angle. */
export interface TurnWay<How> {
  /** How long a turn should take, s. */
  expectedS(how: How, targetRad: number): number;
  /**
   * The rate to turn at now, or null when the motors stop for good.
   *
   * @param at since the turn began: the time, and what was turned by the gyro and by the encoders, left positive
   */
  rate(
    how: How,
    targetRad: number,
    kept: KeptInTurn,
    at: { timeS: number; gyroRad: number; encoderRad: number },
  ): number | null;
}
