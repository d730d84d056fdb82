import { offsetFrom, type Pose } from '../geometry/pose';
import type { Failure } from '../control/controller';
import { listed } from '../text/listed';
import { clock, counted, degrees, errorLength } from '../text/quantities';
import type { RouteDriven } from './routeView';

const WHY: Record<Failure, string> = {
  wall: 'it ran into something',
  time: 'its time was over',
  'no-sensor': 'a sensor that it asks is not there',
};

/** How far from the plan it stands, and turned to which side. */
function offPlan(planned: Pose, end: Pose): string {
  const { xM, yM, headingRad } = offsetFrom(planned, end);
  const side = headingRad > 0 ? 'left' : 'right';
  const turned = degrees(Math.abs(headingRad));
  const faces = turned === degrees(0) ? 'facing as planned' : `turned ${turned} too far ${side}`;
  return `${errorLength(Math.hypot(xM, yM))} from the plan, ${faces}`;
}

/**
 * How the stand-in drove a route, for whoever looked on.
 *
 * @param planned where the route was planned to end
 */
export function routeSentence(driven: RouteDriven, planned: Pose): string {
  const { end, failed, worked, missed, points, durationS } = driven;
  const ended =
    failed === null
      ? `It ended ${offPlan(planned, end)}, after ${clock(durationS)}.`
      : `It stopped at step ${failed.number} after ${clock(durationS)}: ${WHY[failed.failure]}.`;
  if (worked.length + missed.length === 0) return ended;
  const did =
    worked.length === 0
      ? `Not worked: ${listed(missed)}.`
      : `Worked: ${listed(worked)}${missed.length === 0 ? '' : `; not ${listed(missed)}`}: ${counted(points, 'point')}.`;
  return `${ended} ${did}`;
}
