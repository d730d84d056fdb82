import type { DeviceOf } from '../devices/device';
import type { DeviceReader, SensedWorld } from './reader';

/** The motor of an attachment: its angle in whole counts, degrees. */
export function attachmentReader(
  { behaviour }: DeviceOf<'attachment motor'>,
  { attachmentDegrees }: SensedWorld,
): DeviceReader {
  const { countsPerMotorDegree } = behaviour;
  const angle = Math.floor(attachmentDegrees * countsPerMotorDegree + 1e-9) / countsPerMotorDegree;
  return () => ({ angle });
}
