import type { AttachmentCalibration } from '../../../calibrationValues/attachment';
import type { MovesFound } from '../../../attachments/moves';
import type { ToldOfArm } from '../../../attachments/movesStudy';

/** Positions to be computed with: those that were reached twice at least; null where none was. */
export function calibrationFromMoves(
  { positions, play, late, time }: MovesFound,
  { armM, homesBy, rangeRad }: ToldOfArm,
): AttachmentCalibration | null {
  const known = positions.filter(({ n, scatter }) => n > 1 && Number.isFinite(scatter.sd));
  if (known.length === 0) return null;
  return {
    kind: 'attachment',
    armM,
    positions: known.map(({ position, endedBy, wantedRad, offset, scatter, n }) => ({
      name: position,
      endedBy,
      angleRad: wantedRad,
      offsetRad: offset.value,
      sdRad: scatter.sd,
      n,
    })),
    homesBy,
    rangeRad,
    playRad: play?.value ?? null,
    lateS: late?.value ?? null,
    moveS: time?.meanS ?? null,
  };
}
