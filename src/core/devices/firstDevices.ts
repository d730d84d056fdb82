import { newDevice } from './newDevice';
import type { DeviceKindName } from './registry';
import type { Device } from './device';

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
export function firstDevices(counts: SensorCounts, newId: () => string): Device[] {
  const kinds: DeviceKindName[] = [
    'left motor',
    'right motor',
    ...ASKED_KINDS.flatMap((kind) => Array.from({ length: counts[kind] }, () => kind)),
  ];
  return kinds.reduce<Device[]>((units, kind) => [...units, newDevice(newId(), kind, units)], []);
}
