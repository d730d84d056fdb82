import { wrap } from './angle';

/**
 * A place and a heading. In the table frame x runs along the long edge, y away from the home edge,
 * and heading 0 points along +x; counter-clockwise is positive.
 */
export interface Pose {
  xM: number;
  yM: number;
  headingRad: number;
}

export interface Point {
  xM: number;
  yM: number;
}

/** A pose or point given in the frame of `frame` (x ahead, y left), told in the table frame. */
export function toTable(frame: Pose, local: Point): Point {
  const cos = Math.cos(frame.headingRad);
  const sin = Math.sin(frame.headingRad);
  return {
    xM: frame.xM + cos * local.xM - sin * local.yM,
    yM: frame.yM + sin * local.xM + cos * local.yM,
  };
}

/** A vector of the table frame, told along (ahead positive) and across (left positive) a heading. */
export function alongAcross(
  vector: Point,
  headingRad: number,
): { alongM: number; acrossM: number } {
  const cos = Math.cos(headingRad);
  const sin = Math.sin(headingRad);
  return {
    alongM: cos * vector.xM + sin * vector.yM,
    acrossM: -sin * vector.xM + cos * vector.yM,
  };
}

/** A point given in the table frame, told in the frame of `frame` (x ahead, y left). */
export function fromTable(frame: Pose, at: Point): Point {
  const { alongM, acrossM } = alongAcross(
    { xM: at.xM - frame.xM, yM: at.yM - frame.yM },
    frame.headingRad,
  );
  return { xM: alongM, yM: acrossM };
}

/** Offset of one pose from another: actual − target, the heading wrapped to (−π, π]. */
export function offsetFrom(target: Pose, actual: Pose): Pose {
  return {
    xM: actual.xM - target.xM,
    yM: actual.yM - target.yM,
    headingRad: wrap(actual.headingRad - target.headingRad),
  };
}

/** The half sizes, along and across a heading, that a pose must keep to. */
export interface PoseWindow {
  alongM: number;
  acrossM: number;
  headingRad: number;
}

/** Whether `actual` lies in the window around `target`, measured along and across its heading. */
export function isInWindow(actual: Pose, target: Pose, window: PoseWindow): boolean {
  const offset = offsetFrom(target, actual);
  const { alongM, acrossM } = alongAcross(offset, target.headingRad);
  return (
    Math.abs(alongM) <= window.alongM &&
    Math.abs(acrossM) <= window.acrossM &&
    Math.abs(offset.headingRad) <= window.headingRad
  );
}
