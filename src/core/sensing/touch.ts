import type { DeviceOf } from '../devices/device';
import { gapAhead } from '../table/ray';
import type { DeviceReader, SensedWorld } from './reader';

/** A touch sensor: 1 while something is within its reach, 0 otherwise. */
export const touchReader =
  (unit: DeviceOf<'touch sensor'>, { surfaces }: SensedWorld): DeviceReader =>
  (pose) => ({ touch: gapAhead(pose, unit, 0, surfaces) <= unit.behaviour.reachM ? 1 : 0 });
