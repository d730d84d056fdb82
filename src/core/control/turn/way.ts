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
   * @param timeS since the turn began
   * @param gyroRad turned since then by the gyro, left positive
   * @param encoderRad and by the encoders
   */
  rate(
    how: How,
    targetRad: number,
    kept: KeptInTurn,
    timeS: number,
    gyroRad: number,
    encoderRad: number,
  ): number | null;
}
