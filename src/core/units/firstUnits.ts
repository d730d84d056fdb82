import { newUnit } from './newUnit';
import type { UnitKindName } from './registry';
import type { Unit } from './unit';

/** The kinds of sensors that a first set-up asks for. */
export const ASKED_KINDS = [
  'heading sensor',
  'distance sensor',
  'light sensor',
  'touch sensor',
] as const;

/** How many of each are on the robot. */
export type SensorCounts = Record<(typeof ASKED_KINDS)[number], number>;

/** The units of a robot that is set up for the first time: both motors, and so many sensors of each kind. */
export function firstUnits(counts: SensorCounts, newId: () => string): Unit[] {
  const kinds: UnitKindName[] = [
    'left motor',
    'right motor',
    ...ASKED_KINDS.flatMap((kind) => Array.from({ length: counts[kind] }, () => kind)),
  ];
  return kinds.reduce<Unit[]>((units, kind) => [...units, newUnit(newId(), kind, units)], []);
}
