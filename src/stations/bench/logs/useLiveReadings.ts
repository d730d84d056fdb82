import { columnsOfDevices } from '../../../core/devices/columns';
import { isA } from '../../../core/devices/ofRobot';
import type { DeviceKindName } from '../../../core/devices/registry';
import type { Robot } from '../../../core/robot/robot';
import { useHeard } from './useHeard';

/** What a sensor of a robot reads for a while, as its source tells it. */
export function useLiveReadings(robot: Robot, kind: DeviceKindName, label: string) {
  const columns = columnsOfDevices(robot).filter(({ unit }) => isA(unit, kind));
  const titles = columns.filter(({ unit }) => unit.label === label).map(({ title }) => title);
  return useHeard(titles.join(), `“${label}” is not plugged in on this robot: type what it reads.`);
}
