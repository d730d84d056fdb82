import { attachment } from './kinds/attachment';
import { colour } from './kinds/colour';
import { distance } from './kinds/distance';
import { heading } from './kinds/heading';
import { light } from './kinds/light';
import { leftMotor, rightMotor } from './kinds/motors';
import { other } from './kinds/other';
import { touch } from './kinds/touch';
import type { DeviceKind } from './kind';

/** Every kind of unit, in the order in which they are offered. */
export const KINDS = [
  leftMotor,
  rightMotor,
  heading,
  distance,
  light,
  colour,
  touch,
  attachment,
  other,
] as const;

export type DeviceKindName = (typeof KINDS)[number]['kind'];

export const kindOf = (name: DeviceKindName): DeviceKind<DeviceKindName> =>
  KINDS.find(({ kind }) => kind === name) ?? other;
