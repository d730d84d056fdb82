/** An angle in degrees as radians. */
export const radiansFromDegrees = (degrees: number): number => (degrees * Math.PI) / 180;

/** An angle in radians as degrees. */
export const degreesFromRadians = (radians: number): number => (radians * 180) / Math.PI;

const TAU = 2 * Math.PI;

/**
 * The same direction in (−π, π].
 *
 * @param angleRad any finite angle, counter-clockwise positive
 */
export function wrap(angleRad: number): number {
  const turned = angleRad - TAU * Math.round(angleRad / TAU);
  return turned <= -Math.PI ? turned + TAU : turned;
}

/** Which way round a turn goes. `short` takes the smaller angle. */
export type TurnDirection = 'short' | 'left' | 'right';

/** Within this much of a half turn, noise would choose the short way: a direction must be said. */
export const HALF_TURN_DOUBT_RAD = radiansFromDegrees(5);

/** Whether "the short way" from one heading to another is in doubt (a half turn, within 5°). */
export function isHalfTurn(fromRad: number, toRad: number): boolean {
  return Math.PI - Math.abs(wrap(toRad - fromRad)) < HALF_TURN_DOUBT_RAD;
}

/**
 * The angle to turn, counter-clockwise positive, from one heading to another.
 *
 * A robot that already stands within 5° of the wanted heading turns the short way even when a
 * direction is given: having gone half a degree too far must not become a full circle.
 */
export function turnAngle(fromRad: number, toRad: number, direction: TurnDirection): number {
  const short = wrap(toRad - fromRad);
  if (direction === 'short' || Math.abs(short) < HALF_TURN_DOUBT_RAD) return short;
  if (direction === 'left') return short < 0 ? short + TAU : short;
  return short > 0 ? short - TAU : short;
}
