import type { DeviceChannel } from './channel';
import { channelsOf } from './channels';
import { devicesOf, type WithDevices } from './ofRobot';
import { KINDS } from './registry';
import type { Device } from './device';

/** A channel of a unit and the title of the column of a log in which its readings stand. */
export interface ColumnOfDevice {
  unit: Device;
  channel: DeviceChannel;
  title: string;
}

/** A label as part of a column's name. */
const asName = (label: string): string =>
  label.replace(/[^\p{L}\p{N}]+/gu, '_').replace(/^_+|_+$/g, '') || 'unit';

/** Under which titles the units of a robot stand in its logs: by their labels where there are several of a kind. */
export function columnsOfDevices(robot: WithDevices): ColumnOfDevice[] {
  const taken = new Set<string>();
  return KINDS.flatMap(({ kind }) => {
    const units: Device[] = devicesOf(robot, kind);
    return units.flatMap((unit) =>
      channelsOf(unit).map((channel) => {
        const { alone, ending } = channel.column;
        const name = units.length === 1 ? alone : asName(unit.label);
        let title = name + ending;
        for (let n = 2; taken.has(title); n += 1) title = `${name}_${n}${ending}`;
        taken.add(title);
        return { unit, channel, title };
      }),
    );
  });
}
