import type { ReactNode } from 'react';
import type { Device, DeviceOf } from '../../../core/devices/device';

type MarkOf<Kind> = Kind extends Device['kind']
  ? (props: { unit: DeviceOf<Kind> }) => ReactNode
  : never;

/** The mark of a kind of unit in the drawing of a robot, in millimetres about its place, looking up. */
export type DeviceMark<Kind extends Device['kind'] | 'any' = 'any'> = Kind extends 'any'
  ? (props: { unit: Device }) => ReactNode
  : MarkOf<Kind>;
