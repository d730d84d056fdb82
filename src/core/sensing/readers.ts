import type { Device, DeviceOf } from '../devices/device';
import { attachmentReader } from './attachment';
import { colourReader } from './colour';
import { distanceReader } from './distance';
import { lightReader } from './light';
import type { DeviceReader, SensedWorld } from './reader';
import { touchReader } from './touch';

/** How each kind of unit is read. Heading and the driven wheels are the machine's own. */
const READERS: {
  [Kind in Device['kind']]?: (unit: DeviceOf<Kind>, world: SensedWorld) => DeviceReader;
} = {
  'distance sensor': distanceReader,
  'light sensor': lightReader,
  'colour sensor': colourReader,
  'touch sensor': touchReader,
  'attachment motor': attachmentReader,
};

/** A reader of a unit in a world, or null for a kind that reads nothing of its own. */
export function deviceReader<Kind extends Device['kind']>(
  unit: DeviceOf<Kind>,
  world: SensedWorld,
): DeviceReader | null {
  const read = READERS[unit.kind] as
    ((unit: DeviceOf<Kind>, world: SensedWorld) => DeviceReader) | undefined;
  return read?.(unit, world) ?? null;
}
