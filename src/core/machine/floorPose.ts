import type { Pose } from '../geometry/pose';

/** Up to here the series of `turn` are right to 2·10⁻¹¹ rad. */
const SMALL_RAD = 0.1;

/**
 * A pose that is driven along in short arcs, with the cosine and sine of its heading: turned by a small angle,
 * as in each period of a loop, they are rotated by the first terms of both series, which costs a fraction of
 * computing them anew.
 */
export class FloorPose implements Pose {
  xM: number;
  yM: number;
  /** Not wrapped. */
  headingRad: number;
  private cos: number;
  private sin: number;

  constructor({ xM, yM, headingRad }: Pose) {
    this.xM = xM;
    this.yM = yM;
    this.headingRad = headingRad;
    this.cos = Math.cos(headingRad);
    this.sin = Math.sin(headingRad);
  }

  /** After its heading was set from outside. */
  face(): void {
    this.cos = Math.cos(this.headingRad);
    this.sin = Math.sin(this.headingRad);
  }

  /**
   * Drive along an arc: its chord points along the heading in its middle (quadrature by Gauss with one point).
   *
   * @param forwardM its length
   * @param toMiddleRad what it has turned when half of its time is over
   */
  arc(forwardM: number, toMiddleRad: number, turnRad: number): void {
    // sin(x)/x of half the turn, to the fourth order: a period turns by a few degrees at most.
    const x2 = (turnRad * turnRad) / 4;
    const chordM = forwardM * (1 - (x2 / 6) * (1 - x2 / 20));
    this.turn(toMiddleRad);
    this.xM += chordM * this.cos;
    this.yM += chordM * this.sin;
    this.turn(turnRad - toMiddleRad);
  }

  private turn(byRad: number): void {
    this.headingRad += byRad;
    if (byRad > SMALL_RAD || byRad < -SMALL_RAD) {
      this.face();
      return;
    }
    const { cos, sin } = this;
    const squared = byRad * byRad;
    const s = byRad * (1 - (squared / 6) * (1 - squared / 20));
    const c = 1 - (squared / 2) * (1 - (squared / 12) * (1 - squared / 30));
    this.cos = cos * c - sin * s;
    this.sin = sin * c + cos * s;
  }
}
