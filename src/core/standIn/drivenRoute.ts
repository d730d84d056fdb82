import { degreesFromRadians } from '../geometry/angle';
import { fromTable, toTable, type Pose } from '../geometry/pose';
import { planRoute } from '../course/plan';
import { prepare, type Simulation } from '../forecast/prepare';
import { simulateRun, tableInRun } from '../forecast/run';
import type { SimulatedRun } from '../forecast/simulatedRun';
import { onBattery } from '../program/byPower';
import { asMounted } from '../robot/mounting';
import type { Robot } from '../robot/robot';
import type { Table } from '../table/table';
import type { DriveSample } from './program';
import { simulatedLately } from './simulatedLately';
import type { Motion } from './state';
import { withHeading } from '../devices/ofRobot';

export type RouteDrive = Extract<Motion['what'], { by: 'route' }>;

/** A route as the stand-in drove it. */
export interface DrivenRoute {
  /** From the planned start, in its frame. */
  samples: DriveSample[];
  run: SimulatedRun;
  /** As it was in this run: what is not always there was drawn. */
  table: Table;
}

/**
 * The robot that drives a route: as its program takes it to be, with what is hidden about it, the drift and the
 * battery of the moment.
 */
function driver(truth: Robot, { robot, route, driftRadPerS, batteryV }: RouteDrive): Robot {
  const hidden = {
    ...asMounted(robot, route),
    motors: truth.motors,
    units: truth.units,
    errors: truth.errors,
    measured: { ...robot.measured, squaring: truth.measured.squaring },
  };
  const drifting = withHeading(hidden, { driftRadPerS });
  const { power } = robot.measured;
  return power === null ? drifting : onBattery(drifting, batteryV - power.batteryV);
}

/** The program is made with what the team believes, the robot drives it as it truly is. */
export const drivenRoute = simulatedLately((truth: Robot, what: RouteDrive): DrivenRoute => {
  const { robot: believed, table, route, seed } = what;
  const simulation: Simulation = { robot: driver(truth, what), table, route, seed };
  const prepared = prepare(simulation, (answers) => planRoute(route, believed, table, answers));
  const samples: DriveSample[] = [];
  const run = simulateRun(simulation, prepared, 0, (machine) => {
    const { pose, readings } = machine;
    const degrees = Object.entries(machine.armsRad()).map(([id, rad]) => [
      id,
      degreesFromRadians(rad),
    ]);
    samples.push({
      tS: readings.timeS,
      pose: {
        ...fromTable(route.start, pose),
        headingRad: pose.headingRad - route.start.headingRad,
      },
      leftM: readings.leftM,
      rightM: readings.rightM,
      attachmentDegrees: Object.fromEntries(degrees) as Record<string, number>,
    });
  });
  return { samples, run, table: tableInRun(simulation, 0) };
});

/** A place on the stand-in's floor, as one on the table of the route that it drives or has driven. */
export const onTableOf = (
  { start }: Pick<Motion, 'start'>,
  { route }: RouteDrive,
  at: Pose,
): Pose => ({
  ...toTable(route.start, fromTable(start.pose, at)),
  headingRad: at.headingRad - start.pose.headingRad + route.start.headingRad,
});
