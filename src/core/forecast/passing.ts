import { alongAcross, type Pose } from '../geometry/pose';
import type { Marked } from '../table/targets';

/** Where the robot was as it came nearest to a place, and how fast. */
export interface Passed extends Pose {
  timeS: number;
  speedMPerS: number;
}

/** A mission that is to be worked in passing: watched through the next motion. */
export interface Passing extends Marked {
  /** Where it stands; null: no such mission. */
  at: Pose | null;
  nearest: Passed | null;
  leastMPerS: number;
  last: (Pose & { timeS: number }) | null;
}

/** Notes where the robot stands now, if that is nearer to the mission along its heading than ever before in this motion. */
export function passBy(passing: Passing, pose: Pose, timeS: number): void {
  const { at, last, nearest } = passing;
  const tookS = last === null ? 0 : timeS - last.timeS;
  const speedMPerS =
    last === null || tookS <= 0 ? 0 : Math.hypot(pose.xM - last.xM, pose.yM - last.yM) / tookS;
  passing.last = { ...pose, timeS };
  const offM = (one: Pose): number =>
    at === null
      ? 0
      : Math.abs(alongAcross({ xM: one.xM - at.xM, yM: one.yM - at.yM }, at.headingRad).alongM);
  if (nearest === null || offM(pose) < offM(nearest)) {
    passing.nearest = { ...pose, timeS, speedMPerS };
  }
}
