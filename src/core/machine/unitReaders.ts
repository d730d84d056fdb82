import type { ReadingOf } from '../devices/channel';
import type { Pose } from '../geometry/pose';
import type { Robot } from '../robot/robot';
import type { DeviceReader } from '../sensing/reader';
import { deviceReader } from '../sensing/readers';
import type { RandomStream } from '../stats/random';
import { obstacles } from '../table/obstacles';
import type { Table } from '../table/table';

/** What the units of a simulated robot read on its table, each with its own chance. */
export class UnitReaders {
  private readonly readers = new Map<string, DeviceReader | null>();
  private readonly chance = new Map<string, RandomStream>();

  /** @param degreesOf how far the motor of an attachment is turned now, by unit */
  constructor(
    private readonly robot: Robot,
    private table: Table,
    private readonly randomOf: (stream: string) => RandomStream,
    private readonly degreesOf: (unitId: string) => number,
  ) {}

  /** Another table lies about it from now on; the chance of each unit goes on. */
  lay(table: Table): void {
    this.table = table;
    this.readers.clear();
  }

  /** Null for nothing, as a lost echo, and for what is not there. */
  read({ unitId, channel }: ReadingOf, pose: Pose, timeS: number): number | null {
    let read = this.readers.get(unitId);
    if (read === undefined) {
      read = this.newReader(unitId);
      this.readers.set(unitId, read);
    }
    return read?.(pose, timeS)[channel] ?? null;
  }

  private newReader(id: string): DeviceReader | null {
    const unit = this.robot.units.find((one) => one.id === id && one.port !== null);
    if (unit === undefined) return null;
    const random = this.chance.get(id) ?? this.randomOf(`unit: ${id}`);
    this.chance.set(id, random);
    const degreesOf = () => this.degreesOf(id);
    return deviceReader(unit, {
      surfaces: obstacles(this.table, unit.place.heightM),
      floor: this.table,
      random,
      get attachmentDegrees() {
        return degreesOf();
      },
    });
  }
}
