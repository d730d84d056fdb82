import type { Robot } from '../robot';

/** Slower than this and told to stand, a wheel stands: what is left would roll it by micrometres. */
const STANDS_M_PER_S = 5e-5;

/**
 * A wheel's speed and roll under a command that is constant for one period of the loop, solved exactly: it
 * follows its command with a first-order lag and limited acceleration. Far from the command the speed changes
 * at the limit; nearer, what is left dies away exponentially.
 *
 * Roll is as the encoder counts it, with the recorded wheel size.
 */
export class Wheel {
  /** At the end of the last period. */
  speedMPerS = 0;
  rollM = 0;
  /** Whether it moves in this period, or is told to. */
  moves = false;

  private wantedMPerS = 0;
  private readonly lagS: number;
  private readonly accelMPerS2: number;
  private readonly fastestMPerS: number;
  private readonly periodS: number;
  private readonly leftAfterPeriod: number;
  private readonly leftAfterHalf: number;

  /** Of this period: how long the acceleration is at its limit, what it is, and what is rolled by then. */
  private rampS = 0;
  private rampMPerS2 = 0;
  private rampRollM = 0;
  /** How far the speed is from its command when the ramp ends. */
  private gapMPerS = 0;

  constructor(motors: Robot['motors'], periodS: number) {
    this.lagS = motors.lagS;
    this.accelMPerS2 = motors.maxAccelerationMPerS2;
    this.fastestMPerS = motors.maxSpeedMPerS;
    this.periodS = periodS;
    this.leftAfterPeriod = Math.exp(-periodS / motors.lagS);
    this.leftAfterHalf = Math.exp(-periodS / (2 * motors.lagS));
  }

  aimAt(speedMPerS: number): void {
    const { fastestMPerS } = this;
    this.wantedMPerS =
      speedMPerS > fastestMPerS
        ? fastestMPerS
        : speedMPerS < -fastestMPerS
          ? -fastestMPerS
          : speedMPerS;
  }

  /** Begin a period: solve its motion. */
  begin(): void {
    const gap = this.wantedMPerS - this.speedMPerS;
    this.moves = this.speedMPerS !== 0 || this.wantedMPerS !== 0;
    const nearby = this.accelMPerS2 * this.lagS;
    this.rampS = 0;
    this.rampRollM = 0;
    this.gapMPerS = gap;
    if (gap > nearby || gap < -nearby) {
      this.gapMPerS = gap > 0 ? nearby : -nearby;
      this.rampMPerS2 = gap > 0 ? this.accelMPerS2 : -this.accelMPerS2;
      this.rampS = (gap - this.gapMPerS) / this.rampMPerS2;
      this.rampRollM = this.rampS * (this.speedMPerS + (this.rampMPerS2 * this.rampS) / 2);
    }
  }

  /** What is rolled in the first half of this period, and in all of it. */
  halfRollM(): number {
    return this.rampS === 0
      ? this.fading(this.periodS / 2, this.leftAfterHalf)
      : this.rolledM(this.periodS / 2);
  }
  wholeRollM(): number {
    return this.rampS === 0
      ? this.fading(this.periodS, this.leftAfterPeriod)
      : this.rolledM(this.periodS);
  }

  /** What is rolled after so much of this period. */
  rolledM(afterS: number): number {
    if (afterS <= this.rampS) return afterS * (this.speedMPerS + (this.rampMPerS2 * afterS) / 2);
    const fadingS = afterS - this.rampS;
    return this.rampRollM + this.fading(fadingS, Math.exp(-fadingS / this.lagS));
  }

  /** End the period. */
  end(rolledM: number): void {
    const { periodS, rampS, wantedMPerS } = this;
    this.rollM += rolledM;
    if (rampS >= periodS) {
      this.speedMPerS += this.rampMPerS2 * periodS;
      return;
    }
    const left = rampS === 0 ? this.leftAfterPeriod : Math.exp((rampS - periodS) / this.lagS);
    const speed = wantedMPerS - this.gapMPerS * left;
    const stands = wantedMPerS === 0 && speed < STANDS_M_PER_S && speed > -STANDS_M_PER_S;
    this.speedMPerS = stands ? 0 : speed;
  }

  /** Rolled while the gap to the command shrinks to a share `left` of itself. */
  private fading(durationS: number, left: number): number {
    return this.wantedMPerS * durationS - this.gapMPerS * this.lagS * (1 - left);
  }
}
