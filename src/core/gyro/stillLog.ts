import type { StillLog } from './stillCheck';

interface Columns {
  headingRad?: Float64Array | undefined;
  rateRadPerS?: Float64Array | undefined;
  leftMotorDegrees?: Float64Array | undefined;
  rightMotorDegrees?: Float64Array | undefined;
}

/**
 * A log as the still check wants it: its heading (or else its rate), and its motors, by which driving is
 * told from lying still.
 *
 * @returns null for a log with neither heading nor rate
 */
export function stillLogOf({
  tS,
  columns,
}: {
  tS: Float64Array;
  columns: Columns;
}): StillLog | null {
  const { headingRad, rateRadPerS, leftMotorDegrees, rightMotorDegrees } = columns;
  const motors = [leftMotorDegrees, rightMotorDegrees].flatMap((angles) => angles ?? []);
  if (headingRad !== undefined) return { kind: 'heading', tS, headingRad, motors };
  if (rateRadPerS !== undefined) return { kind: 'rate', tS, rateRadPerS, motors };
  return null;
}
