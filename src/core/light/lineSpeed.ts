/** A line to be crossed, and how often a program looks at it. */
export interface LineCrossing {
  lineWidthM: number;
  /** The longest round of the program's loop. */
  loopPeriodS: number;
  /** Between two readings of the sensor. */
  sensorPeriodS: number;
  /** Diameter of what the sensor sees. */
  spotM: number;
  /** How many different readings are wanted from the line. */
  readings: number;
  /** What share of the spot has to lie on the line until a reading counts; 1: all of it. */
  share: number;
}

export interface LineSpeed {
  /** The highest at which so many different readings come from every pass; 0: none does. */
  speedMPerS: number;
  /** Between two different readings that the program gets, at worst. */
  apartS: number;
  /** On which a reading counts as the line's, along the way. */
  countsM: number;
  /** The furthest past the line's edge, the sensor's spot centred, when the last of the readings is there. */
  overrunM: number;
}

/** A quotient this close to a whole number is one: 0.03 s are three times 0.01 s. */
const WHOLE = 1e-9;

/**
 * The longest time between two different readings that a program gets: its rounds come at worst one loop apart, and a
 * sensor has a new reading only after whole periods of its own. A reading that is read again confirms nothing.
 */
export const differentApartS = (loopPeriodS: number, sensorPeriodS: number): number =>
  Math.max(1, Math.ceil(loopPeriodS / sensorPeriodS - WHOLE)) * sensorPeriodS;

/** Share of a round spot that lies beyond a straight edge so far from its centre (circular segment), in radii. */
function shareBeyond(offset: number): number {
  const at = Math.max(-1, Math.min(1, offset));
  return (Math.acos(at) - at * Math.sqrt(1 - at * at)) / Math.PI;
}

/** Share of a spot on a line, its centre so far off the line's middle. */
export function shareOnLine(offsetM: number, lineWidthM: number, spotM: number): number {
  const radiusM = spotM / 2;
  if (radiusM === 0) return Math.abs(offsetM) <= lineWidthM / 2 ? 1 : 0;
  const toEdge = (edgeM: number) => shareBeyond((edgeM - offsetM) / radiusM);
  return toEdge(-lineWidthM / 2) - toEdge(lineWidthM / 2);
}

const HALVINGS = 60;

/** Over how much of the way a reading counts as the line's: so much of the spot lies on it. 0: it never does. */
export function countingWidthM(lineWidthM: number, spotM: number, share: number): number {
  if (share >= 1) return Math.max(0, lineWidthM - spotM);
  if (shareOnLine(0, lineWidthM, spotM) < share) return 0;
  let [inside, outside] = [0, (lineWidthM + spotM) / 2];
  for (let i = 0; i < HALVINGS; i += 1) {
    const middle = (inside + outside) / 2;
    if (shareOnLine(middle, lineWidthM, spotM) >= share) inside = middle;
    else outside = middle;
  }
  return 2 * inside;
}

/**
 * How fast a line may be crossed so that so many different readings come from every pass, whenever it begins: the time
 * on the line holds as many of the longest gaps between different readings.
 *
 * The overrun counts from the line's edge: until the spot lies far enough on it, then at worst a whole sensor period until
 * a reading is taken there, a gap for each further one, and a round of the loop until the program has the last.
 * Braking comes after that.
 */
export function lineSpeed(of: LineCrossing): LineSpeed {
  const apartS = differentApartS(of.loopPeriodS, of.sensorPeriodS);
  const countsM = countingWidthM(of.lineWidthM, of.spotM, of.share);
  const speedMPerS = countsM / (of.readings * apartS);
  const toCountM = (of.lineWidthM - countsM) / 2;
  const seenS = of.sensorPeriodS + (of.readings - 1) * apartS + of.loopPeriodS;
  return { speedMPerS, apartS, countsM, overrunM: toCountM + speedMPerS * seenS };
}
