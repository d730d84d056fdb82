/**
 * Headings that jump by a whole turn where a sensor wraps round, made continuous.
 *
 * A jump counts as wrapped when it is more than 0.6 of a turn between two neighbours: a robot turns
 * less than that between readings.
 * @param headingRad as read, NaN where nothing was; not changed
 */
export function unwrapHeadings(headingRad: Float64Array): Float64Array {
  const turn = 2 * Math.PI;
  let added = 0;
  let before = Number.NaN;
  return headingRad.map((heading) => {
    if (Number.isNaN(heading)) return heading;
    const jump = heading - before;
    if (Math.abs(jump) > 0.6 * turn) added -= turn * Math.round(jump / turn);
    before = heading;
    return heading + added;
  });
}
