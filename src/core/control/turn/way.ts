/** A turn by an angle, as one way of turning does it. */
export interface TurnWay {
  /** How long it should take, s. */
  expectedS: number;
  /**
   * The rate to turn at now, or null when the motors stop for good; it keeps its own state.
   *
   * @param timeS since the turn began
   * @param gyroRad turned since then by the gyro, left positive
   * @param encoderRad and by the encoders
   */
  rate(timeS: number, gyroRad: number, encoderRad: number): number | null;
}
