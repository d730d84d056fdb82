import type { DeviceOf } from '../devices/device';
import { devicesOf } from '../devices/ofRobot';
import type { DeviceKindName } from '../devices/registry';
import type { Robot } from '../robot/robot';

/** The unit of a kind that a step names by its label, or by its id; null where the robot has no such. */
export const unitNamed = <Kind extends DeviceKindName>(
  robot: Robot,
  kind: Kind,
  name: string,
): DeviceOf<Kind> | null => {
  const units = devicesOf(robot, kind);
  return units.find(({ label }) => label === name) ?? units.find(({ id }) => id === name) ?? null;
};

/** The same; where a step names none, the first. */
export const unitOrFirst = <Kind extends DeviceKindName>(
  robot: Robot,
  kind: Kind,
  name: string | undefined,
): DeviceOf<Kind> | null =>
  name === undefined ? (devicesOf(robot, kind)[0] ?? null) : unitNamed(robot, kind, name);
