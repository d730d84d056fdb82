import type { DeviceKindName } from '../devices/registry';
import { neededBy } from './neededBy';
import type { Step } from './step';
import { motionsOf } from './tree';

/** Whether any step asks a kind of unit something. */
export const goesBy = (steps: readonly Step[], kind: DeviceKindName): boolean =>
  motionsOf(steps).some((step) => neededBy(step).includes(kind));
