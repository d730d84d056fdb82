import { radiansFromDegrees } from '../geometry/angle';

/** How a turn began that followed a drive, which may have left the robot askew. Left positive, from the line that it should face along. */
export interface TurnStart {
  /** Where it truly faced; null: nobody looked. */
  facedRad: number | null;
  /** What its heading sensor read; null: nobody noted it. */
  readingRad: number | null;
  /** Its program turns until the sensor reads the angle that is told; else by that angle from what it reads. */
  turnsTo: boolean;
}

/** What a drive may leave a robot askew by where nobody looked: as uncertain is what the turn itself made. */
const ASKEW_RAD = radiansFromDegrees(1);

/**
 * What a turn that followed a drive was truly told and made: what the drive left over is not the turn's.
 *
 * A program that turns *to* an angle is told only what is left of it from its reading; and what is measured from the line
 * holds what it faced at the start. Of the two headings at the start one stands for the other where only one is known.
 *
 * @param targetRad as it was told, and where it truly ended, both from the line
 * @returns the standard deviation to count it with where nobody knows how it began
 */
export function turnAfterDrive(
  { targetRad, endedRad }: { targetRad: number; endedRad: number },
  { facedRad, readingRad, turnsTo }: TurnStart,
): { targetRad: number; actualRad: number; readingSdRad: number | null } {
  const faced = facedRad ?? readingRad ?? 0;
  const read = readingRad ?? facedRad ?? 0;
  return {
    targetRad: turnsTo ? targetRad - read : targetRad,
    actualRad: endedRad - faced,
    readingSdRad: facedRad === null && readingRad === null ? ASKEW_RAD : null,
  };
}
