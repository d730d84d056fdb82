import type { ThreeSentences } from '../gyro/still/stillSentence';
import { between, degrees, errorLength, headingText, percent } from '../text/quantities';
import {
  lineSquaring,
  lookingSdRad,
  type LineSquaringTrial,
  type LineSquaringWay,
  type TwoSensors,
} from './lineSquaring';
import { wayText } from './lineSquaringWords';

export interface LineSquaringStudy {
  ways: LineSquaringWay[];
  best: LineSquaringWay;
  sentences: ThreeSentences;
}

/** Fewer trials hardly tell how headings scatter. */
const FEW = 6;
/** A scatter this many times what the looking alone makes has another cause. */
const FAR_ABOVE = 3;

const isOff = ({ low95, high95 }: LineSquaringWay): boolean => low95 > 0 || high95 < 0;

/** How far apart both sensors find the line for such a heading. */
const apartFor = (headingRad: number, spacingM: number): string =>
  errorLength(Math.abs(Math.tan(headingRad) * spacingM), 1);

function meansSentence(best: LineSquaringWay, sensors: TwoSensors): string {
  const { biasRad, low95, high95, left } = best;
  const [low, high] = between(low95, high95).map((one) => headingText(one));
  const off = isOff(best)
    ? `On average it stands ${headingText(biasRad)} off (${low} to ${high}): one sensor finds the line ${apartFor(biasRad, sensors.spacingM)} before the other, by its threshold or its mount.`
    : 'On average it is not proved to stand askew.';
  const looking = lookingSdRad(sensors, best.secondMPerS ?? best.speedMPerS);
  const share =
    left !== null && left.low95 > 0
      ? ` Of the error before ${percent(left.value)} is still there.`
      : '';
  return `${off} Looking only now and then makes ${degrees(looking, 2)} of the scatter.${share}`;
}

function nextSentence(
  ways: readonly LineSquaringWay[],
  best: LineSquaringWay,
  sensors: TwoSensors,
): string {
  if (best.n < FEW)
    return `${FEW} trials of a way tell how it scatters: ${best.n} so far ${wayText(best)}.`;
  if (isOff(best)) {
    return 'Read line and floor with each of both sensors, and give each a threshold of its own; or let the program set the heading to what is left on average.';
  }
  if (best.left !== null && best.left.low95 > 0 && best.secondMPerS === null) {
    return 'Try a second, slower pass: back off a little, and on again.';
  }
  if (ways.every(({ secondMPerS }) => secondMPerS === null)) {
    return 'Try a second, slower pass as well: back off a little, and on again. It costs a second or two.';
  }
  const looking = lookingSdRad(sensors, best.secondMPerS ?? best.speedMPerS);
  return best.scatter.low95 > FAR_ABOVE * looking
    ? 'It scatters by more than looking now and then explains: see whether both sides stop at once, and whether a wheel slips.'
    : 'Apply it, and let the program set the heading when both sensors are on the line.';
}

/** What trials of squaring on a line say, in three sentences; null before the first. */
export function lineSquaringStudy(
  trials: readonly LineSquaringTrial[],
  sensors: TwoSensors,
): LineSquaringStudy | null {
  const ways = lineSquaring(trials);
  const [best] = ways;
  if (best === undefined) return null;
  const { sd, low95, high95 } = best.scatter;
  const scatter = Number.isFinite(sd)
    ? `headings scatter by ± ${degrees(sd, 2)} (${degrees(low95, 2)} to ${degrees(high95, 2)})`
    : 'one trial says only what it was';
  return {
    ways,
    best,
    sentences: {
      found: `Squared ${wayText(best)}, ${scatter}.`,
      means: meansSentence(best, sensors),
      next: nextSentence(ways, best, sensors),
    },
  };
}
