import type { Device } from '../../devices/device';
import { READ_BY_STEPS } from '../../devices/channels';
import { readBySteps } from '../../devices/ofRobot';
import type { Robot } from '../../robot/robot';
import type { Reading } from './condition';

/** The unit of a kind that steps read, where the condition names the kind. */
function ofKind(reading: Reading, robot: Robot) {
  if (typeof reading !== 'object' || !('unit' in reading)) return null;
  const wanted = READ_BY_STEPS.find(
    ({ kind, channel }) => kind === reading.unit && channel.name === reading.channel,
  );
  return wanted === undefined ? null : readBySteps(robot, wanted);
}

/** The unit that a condition reads, by its label, its id or its kind; null: none, or the robot has no such. */
export function unitRead(reading: Reading, robot: Robot): Device | null {
  if (typeof reading !== 'object') return null;
  const name = 'motor' in reading ? reading.motor : reading.unit;
  const pluggedIn = robot.units.filter(({ port }) => port !== null);
  return (
    pluggedIn.find(({ label }) => label === name) ??
    pluggedIn.find(({ id }) => id === name) ??
    ofKind(reading, robot)
  );
}
