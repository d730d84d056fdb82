import type { DeviceOf } from '../devices/device';
import type { DeviceReader, SensedWorld } from './reader';

/** The motor of an attachment: its angle in whole counts, degrees. */
export function attachmentReader(
  { behaviour: { countsPerMotorDegree } }: DeviceOf<'attachment motor'>,
  world: SensedWorld,
): DeviceReader {
  return () => ({
    angle: Math.floor(world.attachmentDegrees * countsPerMotorDegree + 1e-9) / countsPerMotorDegree,
  });
}
