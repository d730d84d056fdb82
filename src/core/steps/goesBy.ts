import type { DeviceKindName } from '../devices/registry';
import { neededBy } from './neededBy';
import type { Step } from './step';
import { numbered } from './tree';

/** Whether any step asks a kind of unit something. */
export const goesBy = (steps: readonly Step[], kind: DeviceKindName): boolean =>
  numbered(steps).some(({ step }) => neededBy(step).includes(kind));
