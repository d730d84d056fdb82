import type { Robot } from '../robot/robot';

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
  /** At the end of the period that was solved last, as is the roll. */
  speedMPerS = 0;
  rollM = 0;
  /** Whether it moved in that period, or was told to, and what it rolled in its first half and in all of it. */
  moves = false;
  halfM = 0;
  wholeM = 0;

  private wantedMPerS = 0;
  private readonly lagS: number;
  private readonly accelMPerS2: number;
  private readonly fastestMPerS: number;
  private readonly periodS: number;
  private readonly leftAfterPeriod: number;
  private readonly leftAfterHalf: number;

  /** Of this period: how long the acceleration is at its limit, and what it is. */
  private rampS = 0;
  private rampMPerS2 = 0;
  private beganMPerS = 0;
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

  /** Solve the next period's motion. */
  pass(): void {
    const { wantedMPerS, speedMPerS } = this;
    this.moves = speedMPerS !== 0 || wantedMPerS !== 0;
    const gap = wantedMPerS - speedMPerS;
    const nearby = this.accelMPerS2 * this.lagS;
    this.beganMPerS = speedMPerS;
    if (gap > nearby || gap < -nearby) this.ramp(gap > 0 ? 1 : -1, nearby);
    else {
      const { lagS, periodS, leftAfterPeriod } = this;
      this.rampS = 0;
      this.gapMPerS = gap;
      this.halfM = (wantedMPerS * periodS) / 2 - gap * lagS * (1 - this.leftAfterHalf);
      this.wholeM = wantedMPerS * periodS - gap * lagS * (1 - leftAfterPeriod);
      this.speedMPerS = wantedMPerS - gap * leftAfterPeriod;
    }
    this.rollM += this.wholeM;
    if (
      wantedMPerS === 0 &&
      this.speedMPerS < STANDS_M_PER_S &&
      this.speedMPerS > -STANDS_M_PER_S
    ) {
      this.speedMPerS = 0;
    }
  }

  /** Begin with the acceleration at its limit, and follow the command from where it is near. */
  private ramp(sign: 1 | -1, nearbyMPerS: number): void {
    const { periodS, wantedMPerS, lagS } = this;
    this.gapMPerS = sign * nearbyMPerS;
    this.rampMPerS2 = sign * this.accelMPerS2;
    this.rampS = (wantedMPerS - this.gapMPerS - this.beganMPerS) / this.rampMPerS2;
    this.halfM = this.rolledM(periodS / 2);
    this.wholeM = this.rolledM(periodS);
    this.speedMPerS =
      this.rampS >= periodS
        ? this.beganMPerS + this.rampMPerS2 * periodS
        : wantedMPerS - this.gapMPerS * Math.exp((this.rampS - periodS) / lagS);
  }

  /** What is rolled after so much of the period that was solved last. */
  rolledM(afterS: number): number {
    const { rampS, rampMPerS2, beganMPerS, lagS } = this;
    if (afterS <= rampS) return afterS * (beganMPerS + (rampMPerS2 * afterS) / 2);
    const fadingS = afterS - rampS;
    const rampRollM = rampS * (beganMPerS + (rampMPerS2 * rampS) / 2);
    const fadedM = this.gapMPerS * lagS * (1 - Math.exp(-fadingS / lagS));
    return rampRollM + this.wantedMPerS * fadingS - fadedM;
  }
}
