import { kindOf } from './registry';
import { unitSchema, type Unit } from './unit';

/** A unit that was just plugged in, labelled by its kind's letter and the next number that is free. */
export function newUnit(id: string, kind: Unit['kind'], others: readonly Unit[]): Unit {
  const { letter } = kindOf(kind);
  const taken = new Set(others.map(({ label }) => label));
  let n = 1;
  while (taken.has(`${letter}${n}`)) n += 1;
  return unitSchema.parse({ id, kind, label: `${letter}${n}` });
}

/** The same unit as one of another kind: what every kind has stays. */
export function asKind(unit: Unit, kind: Unit['kind']): Unit {
  const { behaviour: _behaviour, connection: _connection, ...rest } = unit;
  return unitSchema.parse({ ...rest, kind });
}
