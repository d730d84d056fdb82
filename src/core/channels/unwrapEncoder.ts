/** An encoder that rolls over begins anew after one turn of its motor. */
export const ROLL_OVER_DEGREES = 360;

/** What an encoder that rolls over reads: in [0°, 360°). */
export const rolledOver = (degrees: number): number =>
  degrees - ROLL_OVER_DEGREES * Math.floor(degrees / ROLL_OVER_DEGREES);

/**
 * Motor angles that count on, from an encoder that begins anew after every turn: a jump of more than
 * half a turn between two readings is a roll-over. It holds as long as the motor turns by less than
 * half a turn between readings.
 *
 * @param degrees raw readings in order of time, motor degrees, NaN where there was none; whatever they begin with is kept
 */
export function unwrapEncoder(degrees: Float64Array): Float64Array {
  const counted = Float64Array.from(degrees);
  let turns = 0;
  let before = Number.NaN;
  for (const [i, read] of degrees.entries()) {
    if (Number.isNaN(read)) continue;
    if (!Number.isNaN(before)) turns -= Math.round((read - before) / ROLL_OVER_DEGREES);
    before = read;
    counted[i] = read + turns * ROLL_OVER_DEGREES;
  }
  return counted;
}

/**
 * Whether readings are those of an encoder that rolls over: none is farther than a turn from another,
 * and one jumps back by nearly a turn, as no wheel on a table can.
 */
export function looksRolledOver(degrees: Float64Array): boolean {
  const low = degrees.reduce((least, value) => Math.min(least, value), Infinity);
  const high = degrees.reduce((most, value) => Math.max(most, value), -Infinity);
  const jumps = degrees.some(
    (value, i) => i > 0 && Math.abs(value - (degrees[i - 1] ?? 0)) > 0.8 * ROLL_OVER_DEGREES,
  );
  return jumps && high - low <= ROLL_OVER_DEGREES;
}
