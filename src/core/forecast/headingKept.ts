import type { Readings } from '../control/controller';
import type { PlannedStep } from '../course/plan';
import type { Pose } from '../geometry/pose';
import { kindOfStep } from '../steps/registry';
import type { Robot } from '../robot/robot';
import type { Headings } from './prepare';

/** What a program goes by as it takes a heading to be right: its readings beside those that were planned. */
export class HeadingKept {
  /** So much more than planned the heading reads where the program takes it to be right. */
  private beyondPlanRad = 0;
  /** Of its wheels, right less left, where it was last. */
  balancedM = 0;

  constructor(
    private readonly robot: Robot,
    private readonly startRad: number,
    private readonly headings: Headings | undefined,
  ) {}

  /** The heading that a motion is planned to begin at, as the program reads it. */
  plannedReadingRad(planned: PlannedStep, readings: Readings): number {
    const asPlannedRad = this.asPlanned(planned.from);
    if (this.headings === 'zeroed each time') {
      this.beyondPlanRad = readings.headingRad - asPlannedRad;
    }
    return asPlannedRad + this.beyondPlanRad;
  }

  /**
   * A motion is over that may have changed what it takes to be right.
   *
   * @param askewRad so far off its planned heading the robot stood as the motion began
   * @param byWallRad and so far off it a wall leaves it
   */
  took(planned: PlannedStep, readings: Readings, askewRad: number, byWallRad: () => number): void {
    const taken = kindOfStep(planned.step).takesHeading?.(planned.step, this.robot);
    if (taken !== undefined || planned.angleRad !== 0) {
      this.balancedM = readings.rightM - readings.leftM;
    }
    if (taken === undefined) return;
    // What is set by the program alone is off by nothing that a wall leaves.
    const leftRad = taken.shareLeft * askewRad + (taken.headingRad === undefined ? byWallRad() : 0);
    const { headingRad = planned.to.headingRad } = taken;
    this.beyondPlanRad =
      readings.headingRad - this.asPlanned({ ...planned.to, headingRad }) + leftRad;
  }

  private asPlanned({ headingRad }: Pose): number {
    return this.robot.program.headingScale * (headingRad - this.startRad);
  }
}
