import type { Unit, UnitOf } from '../units/unit';
import { attachmentReader } from './attachment';
import { colourReader } from './colour';
import { distanceReader } from './distance';
import { lightReader } from './light';
import type { UnitReader, UnitWorld } from './reader';
import { touchReader } from './touch';

/** How each kind of unit is read. Heading and the driven wheels are the machine's own. */
const READERS: {
  [Kind in Unit['kind']]?: (unit: UnitOf<Kind>, world: UnitWorld) => UnitReader;
} = {
  'distance sensor': distanceReader,
  'light sensor': lightReader,
  'colour sensor': colourReader,
  'touch sensor': touchReader,
  'attachment motor': attachmentReader,
};

/** A reader of a unit in a world, or null for a kind that reads nothing of its own. */
export function unitReader<Kind extends Unit['kind']>(
  unit: UnitOf<Kind>,
  world: UnitWorld,
): UnitReader | null {
  const read = READERS[unit.kind] as
    ((unit: UnitOf<Kind>, world: UnitWorld) => UnitReader) | undefined;
  return read?.(unit, world) ?? null;
}
