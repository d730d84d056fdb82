import type { AttachmentCalibration } from '../../../calibrationValues/attachment';
import type { MovesFound } from '../../../attachments/moves';

/** Positions to be computed with: those that were reached twice at least; null where none was. */
export function calibrationFromMoves(
  { positions, play, late, time }: MovesFound,
  armM: number,
): AttachmentCalibration | null {
  const known = positions.filter(({ n, scatter }) => n > 1 && Number.isFinite(scatter.sd));
  if (known.length === 0) return null;
  return {
    kind: 'attachment',
    armM,
    positions: known.map(({ position, wantedRad, offset, scatter, n }) => ({
      name: position,
      angleRad: wantedRad,
      offsetRad: offset.value,
      sdRad: scatter.sd,
      n,
    })),
    playRad: play?.value ?? null,
    lateS: late?.value ?? null,
    moveS: time?.meanS ?? null,
  };
}
