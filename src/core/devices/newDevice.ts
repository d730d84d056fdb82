import { kindOf } from './registry';
import { deviceSchema, type Device } from './device';

/** A unit that was just plugged in, labelled by its kind's letter and the next number that is free. */
export function newDevice(id: string, kind: Device['kind'], others: readonly Device[]): Device {
  const { letter } = kindOf(kind);
  const taken = new Set(others.map(({ label }) => label));
  let n = 1;
  while (taken.has(`${letter}${n}`)) n += 1;
  return deviceSchema.parse({ id, kind, label: `${letter}${n}` });
}

/** The same unit as one of another kind: what every kind has stays. */
export function asKind(unit: Device, kind: Device['kind']): Device {
  const { behaviour: _behaviour, connection: _connection, ...rest } = unit;
  return deviceSchema.parse({ ...rest, kind });
}
