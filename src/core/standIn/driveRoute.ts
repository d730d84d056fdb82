import type { Robot } from '../robot/robot';
import type { Route } from '../course/route';
import type { Table } from '../table/table';
import { decide, withEpoch, withMotion } from './changes';
import { drivenRoute } from './drivenRoute';
import { batteryVoltsAt, UNDER_LOAD_V } from './readings';
import { epochAt, type StandIn } from './state';
import type { StandInTruth } from './truth';

/**
 * Put the stand-in at a route's start as a student would, its heading zeroed there and its arms home, and let it drive.
 *
 * @param robot as the team believes it to be: its program is made for it
 */
export function driveRoute(
  state: StandIn,
  truth: StandInTruth,
  nowS: number,
  { robot, table, route }: { robot: Robot; table: Table; route: Route },
): StandIn {
  const what = {
    by: 'route' as const,
    robot,
    table,
    route,
    seed: Math.floor(decide(state).uniform() * 4294967295),
    driftRadPerS: epochAt(state, nowS).driftRadPerS,
    batteryV: batteryVoltsAt(truth, state, nowS) - UNDER_LOAD_V,
  };
  const { samples } = drivenRoute(truth.robot, what);
  const moved = withMotion(state, truth, nowS, what);
  const begins = moved.motions.at(-1)?.start.pose.headingRad ?? 0;
  return {
    ...withEpoch(moved, nowS, {
      zeroRad: begins + (samples[0]?.pose.headingRad ?? 0),
      zeroS: nowS,
    }),
    attachmentDegrees: samples.at(-1)?.attachmentDegrees ?? {},
  };
}
