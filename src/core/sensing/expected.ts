import { laidOut } from '../table/laidOut';
import { obstacles } from '../table/obstacles';
import type { Table } from '../table/table';
import type { Pose } from '../geometry/pose';
import type { Device } from '../devices/device';
import { deviceReader } from './readers';

/** No luck at all: nothing scatters, no echo is lost. */
const NO_LUCK = { normal: () => 0, uniform: () => 1 };

/** What a channel of a unit is expected to read at a pose on a table; null for nothing, or for what reads nothing. */
export const expectedReading = (
  unit: Device,
  channel: string,
  pose: Pose,
  table: Table,
): number | null =>
  deviceReader(unit, {
    surfaces: obstacles(laidOut(table), unit.place.heightM),
    floor: laidOut(table),
    random: NO_LUCK,
    attachmentDegrees: 0,
  })?.(pose, 0)[channel] ?? null;
