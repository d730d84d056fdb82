import { leastScatter } from '../stats/roundedFit';
import { student975 } from '../stats/student';
import { counted, degrees } from '../text/quantities';
import { meanHalfWidth, stepOf, type TurnErrorModel } from './errorModel';

/** Nobody makes more turns than this for one question. */
const MOST_MORE = 20;

/**
 * How many more turns would prove the error that the trials show, if it is as it looks and they scatter as they did;
 * null where it would take too many.
 *
 * Source: Student's t test of a mean, Seber and Lee, Linear Regression Analysis, 2nd ed., 2003, section 3.5.
 */
export function moreToProve(model: TurnErrorModel): number | null {
  const { n, residualSdRad, constantRad, scaleError, fromRad, toRad } = model;
  const shown = Math.abs(constantRad + (scaleError * (fromRad + toRad)) / 2);
  const sd = Number.isNaN(residualSdRad) ? leastScatter(stepOf(model.points)) : residualSdRad;
  for (let more = 1; more <= MOST_MORE; more += 1) {
    const total = n + more;
    if (shown > (student975(total - 1) * sd) / Math.sqrt(total)) return more;
  }
  return null;
}

/** An angle over or under what was told: "2° too far". */
export const further = (angleRad: number): string =>
  angleRad >= 0 ? `${degrees(angleRad)} too far` : `${degrees(-angleRad)} short`;

/** A mean error of less than a quarter of a degree is none that anybody sees. */
const UNSEEN_RAD = Math.PI / 720;

/** What turns did so far, where that is not proved: never that they come out right. */
export function soFarInWords(model: TurnErrorModel): string {
  const { n, constantRad, scaleError, fromRad, toRad } = model;
  const shownRad = constantRad + (scaleError * (fromRad + toRad)) / 2;
  const shown = further(shownRad);
  if (Math.abs(shownRad) < UNSEEN_RAD && n > 1) {
    const half = degrees(Math.max(meanHalfWidth(model, (fromRad + toRad) / 2), UNSEEN_RAD));
    return `no error is seen so far; there may be one of up to ${half}`;
  }
  if (n === 1) return `the one turn that was made went ${shown}; one more tells how they scatter`;
  const more = moreToProve(model);
  const tell =
    more === null
      ? `more than ${MOST_MORE} more would be needed to tell`
      : `${counted(more, 'more', 'more')} ${more === 1 ? 'tells' : 'tell'}`;
  return `${shown} so far; chance could still do that, and ${tell}`;
}
