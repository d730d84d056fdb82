/** What a program that counts lines goes by, and keeps in mind. */
export interface LinesSeen {
  /** A reading past `enter` is the line's; from then on it stays so until one is past `leave`. */
  enter: number;
  leave: number;
  lineIs: 'darker' | 'lighter';
  /** Counted as it goes onto a line, or as it comes off it. */
  on: 'entering' | 'leaving';
  /** Null until something was read: what it stands on at first is no line that it came to. */
  isOnLine: boolean | null;
  seen: number;
}

/** Whether it is on the line by this reading, with what it was before. */
function onLine({ enter, leave, lineIs, isOnLine }: LinesSeen, reading: number): boolean {
  const limit = isOnLine === true ? leave : enter;
  return lineIs === 'darker' ? reading <= limit : reading >= limit;
}

/**
 * Takes in a reading of what looks down. Between the two thresholds nothing changes (hysteresis), so that noise at an
 * edge is no second line; a line that it stands on at the start does not count as one that it came to.
 *
 * Source: a Schmitt trigger's hysteresis, Horowitz and Hill, The Art of Electronics, 3rd ed., 2015, section 4.3.2.
 */
export function seeLine(state: LinesSeen, reading: number | null): void {
  if (reading === null) return;
  const before = state.isOnLine;
  state.isOnLine = onLine(state, reading);
  const cameOn = before === false && state.isOnLine;
  const cameOff = before === true && !state.isOnLine;
  if (state.on === 'entering' ? cameOn : cameOff) state.seen += 1;
}
