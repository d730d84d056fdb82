import type { RandomStream } from '../stats/random';

/** What the wheels slip on the ground: white noise, so that its variance grows with what they roll. */
export class Slip {
  /** In the period that was drawn last. */
  leftM = 0;
  rightM = 0;

  constructor(
    private readonly perSqrtM: number,
    private readonly random: RandomStream,
  ) {}

  /** Draw it for a period in which the wheels roll so far. */
  draw(leftRollM: number, rightRollM: number): void {
    const { perSqrtM, random } = this;
    this.leftM = perSqrtM * Math.sqrt(leftRollM < 0 ? -leftRollM : leftRollM) * random.normal();
    this.rightM = perSqrtM * Math.sqrt(rightRollM < 0 ? -rightRollM : rightRollM) * random.normal();
  }
}
