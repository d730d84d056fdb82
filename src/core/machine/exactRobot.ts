import type { Device } from '../devices/device';
import { kindOf } from '../devices/registry';
import type { Robot } from '../robot/robot';

/** No sensor is looked at more often than that. */
const SHORTEST_S = 0.001;

/** Of the heading: errors that a plan does not have, either. */
const EXACT_HEADING = { driftRadPerS: 0, driftSdRadPerS: 0, scaleError: 0 };

const nothing = (fields: object | null): object =>
  Object.fromEntries(Object.keys(fields ?? {}).map((name) => [name, 0]));

const exactDevice = (unit: Device): Device =>
  ({
    ...unit,
    behaviour: {
      ...unit.behaviour,
      ...nothing(kindOf(unit.kind).noise),
      ...('driftRadPerS' in unit.behaviour && EXACT_HEADING),
      ...('periodS' in unit.behaviour && {
        periodS: Math.max(SHORTEST_S, unit.behaviour.periodS),
      }),
    },
  }) as Device;

const made = new WeakMap<Robot, Robot>();

/**
 * The robot exactly as it is recorded: nothing scatters, wheels and track are as they are written down, its gyro counts
 * what it turns. What its sensors are known to read too much, its lags and its limits stay.
 */
export function exactRobot(robot: Robot): Robot {
  const known = made.get(robot);
  if (known !== undefined) return known;
  const exact: Robot = {
    ...robot,
    errors: { wheelScaleError: 0, wheelDifference: 0, trackScaleError: 0, slipMPerSqrtM: 0 },
    units: robot.units.map(exactDevice),
    program: { ...robot.program, headingScale: 1 },
    measured: { ...robot.measured, placed: null },
  };
  made.set(robot, exact);
  return exact;
}
