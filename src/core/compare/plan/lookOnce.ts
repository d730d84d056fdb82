/**
 * A plan may be looked at once before its end, with the first half of its runs, and stopped if the difference is
 * beyond doubt; at the end a little less is then asked of chance than the usual 5 of 100, so that both looks
 * together cry wolf in no more.
 *
 * Source: O'Brien and Fleming, Biometrics 35 (1979) 549–556, two looks: 2.797 and 1.977 standard errors.
 */
export const LEVEL_AT_HALF = 0.0052;
export const LEVEL_AT_END = 0.048;

/** What the runs so far allow to be looked at. */
export interface Look {
  at: 'too early' | 'half' | 'end';
  /** So many of the first runs of each way are looked at, however many there are. */
  runsEach: number;
  /** Chance alone may bring it about as often as this, at most. */
  level: number;
}

/**
 * Which look a plan allows.
 *
 * @param counts runs of each way that count
 */
export function lookAllowed(perSeries: number, counts: readonly number[]): Look {
  const least = Math.min(...counts);
  const half = Math.ceil(perSeries / 2);
  if (least >= perSeries) return { at: 'end', runsEach: perSeries, level: LEVEL_AT_END };
  if (least >= half) return { at: 'half', runsEach: half, level: LEVEL_AT_HALF };
  return { at: 'too early', runsEach: 0, level: 0 };
}
