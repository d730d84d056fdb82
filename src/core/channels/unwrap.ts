/** More than this between two neighbours was a wrap: a robot turns less between readings. */
const MOST_OF_A_TURN = 0.6;
const TURN = 2 * Math.PI;

/** Makes headings that are read one after the other continuous; NaN where nothing was read. */
export function headingUnwrapper(): (headingRad: number) => number {
  let added = 0;
  let before = Number.NaN;
  return (heading) => {
    if (Number.isNaN(heading)) return heading;
    const jump = heading - before;
    if (Math.abs(jump) > MOST_OF_A_TURN * TURN) added -= TURN * Math.round(jump / TURN);
    before = heading;
    return heading + added;
  };
}

/**
 * Headings that jump by a whole turn where a sensor wraps round, made continuous.
 *
 * @param headingRad as read, NaN where nothing was; not changed
 */
export const unwrapHeadings = (headingRad: Float64Array): Float64Array =>
  headingRad.map(headingUnwrapper());
