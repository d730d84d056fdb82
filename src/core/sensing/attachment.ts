import type { UnitOf } from '../units/unit';
import type { UnitReader, UnitWorld } from './reader';

/** The motor of an attachment: its angle in whole counts, degrees. */
export function attachmentReader(
  { behaviour }: UnitOf<'attachment motor'>,
  { attachmentDegrees }: UnitWorld,
): UnitReader {
  const { countsPerMotorDegree } = behaviour;
  const angle = Math.floor(attachmentDegrees * countsPerMotorDegree + 1e-9) / countsPerMotorDegree;
  return () => ({ angle });
}
