/** A log of readings lasts at most so long: half an hour is asked for at most. */
const LONGEST_LOG_S = 7200;
/** Nothing on wheels turns by so much from one reading to the next half second. */
const FASTEST_TURN_RAD_PER_S = 60;
/** No heading sensor reads in coarser steps. */
const COARSEST_STEP_RAD = 0.06;

/**
 * Why a log is most likely in other units than it should be; null where it may be as it says.
 *
 * @param tS times in order
 * @param quantumRad step of the heading, where it has one
 */
export function deviceSlip(
  tS: Float64Array,
  headingRad?: Float64Array,
  quantumRad = 0,
): string | null {
  const first = tS[0] ?? 0;
  const lengthS = (tS.at(-1) ?? first) - first;
  if (lengthS > LONGEST_LOG_S) {
    return `This log would last ${Math.round(lengthS / 60)} minutes, and two hours is the longest: are its times milliseconds? Seconds are expected.`;
  }
  if (quantumRad > COARSEST_STEP_RAD) {
    return `Its heading would be read in steps of ${Math.round((quantumRad * 180) / Math.PI)}°: is it in degrees? Radians are expected.`;
  }
  if (headingRad === undefined) return null;
  let fast = 0;
  let steps = 0;
  for (let i = 1; i < tS.length; i += 1) {
    const change = Math.abs((headingRad[i] ?? 0) - (headingRad[i - 1] ?? 0));
    if (change === 0) continue;
    steps += 1;
    if (change > FASTEST_TURN_RAD_PER_S * Math.max(0.02, (tS[i] ?? 0) - (tS[i - 1] ?? 0)))
      fast += 1;
  }
  return fast > 3 && fast > steps / 2
    ? 'Its heading would turn faster than any robot can: is it in degrees? Radians are expected.'
    : null;
}
