import { counted, errorLength, number, percent } from '../text/quantities';
import type { Answer, Comparison, Question } from './compareSeries';

export const TOO_FEW =
  'Nothing in both can be compared: note of the runs whether they worked, or measure three ends in each.';

/** Of a plan that asks where runs end. */
export const TOO_FEW_ENDS =
  'Three measured ends in each are needed to compare: measure the ends of more runs.';

export const OPENING: Record<Answer, string> = {
  helped: 'It helped',
  hurt: 'It hurt',
  'no-difference-shown': 'No difference is shown',
};

export const SUBJECT: Record<Question, string> = {
  bias: 'aim',
  spread: 'spread',
  success: 'success',
};

const size = ({ xM, yM }: { xM: number; yM: number }): number => Math.hypot(xM, yM);

/** A factor with two digits that mean something. */
const factor = (ratio: number): string => `× ${number(ratio, 2)}`;

function spreadWords({ spread }: Comparison): string | null {
  if (spread === null) return null;
  const { meanDistanceAM, meanDistanceBM, low95, high95 } = spread;
  return `spread ${errorLength(meanDistanceAM)} → ${errorLength(meanDistanceBM)} (${factor(low95)} to ${number(high95, 2)})`;
}

const ofHundred = (share: number): string => number(100 * Math.abs(share), 0);

/** An interval of a difference of rates: "24 to 60 of 100 runs more", "from 3 fewer to 40 more of 100 runs". */
function rateInterval(low: number, high: number): string {
  if (low >= 0) return `${ofHundred(low)} to ${ofHundred(high)} of 100 runs more`;
  if (high <= 0) return `${ofHundred(high)} to ${ofHundred(low)} of 100 runs fewer`;
  return `from ${ofHundred(low)} fewer to ${ofHundred(high)} more of 100 runs`;
}

function successWords({ a, b, success }: Comparison): string | null {
  if (success === null || a.success === null || b.success === null) return null;
  return `success ${percent(a.success.rate)} → ${percent(b.success.rate)} (${rateInterval(success.low95, success.high95)})`;
}

const biasWords = ({ a, b, bias }: Comparison): string | null =>
  bias === null || a.biasM === null || b.biasM === null
    ? null
    : `the middle of the ends ${errorLength(size(a.biasM))} → ${errorLength(size(b.biasM))} from the target (moved by ${errorLength(size(bias.shiftM))} ± ${errorLength(bias.shiftRadiusM)})`;

const WORDS: Record<Question, (comparison: Comparison) => string | null> = {
  spread: spreadWords,
  success: successWords,
  bias: biasWords,
};

/** What one question found, in figures with their interval; null where nothing was noted of it. */
export const questionWords = (comparison: Comparison, question: Question): string | null =>
  WORDS[question](comparison);

const QUESTIONS: readonly Question[] = ['spread', 'success', 'bias'];

/** What each question shows, in words, those that show something first. */
function shownWords(comparison: Comparison): { shown: string[]; open: Question[] } {
  const isShown = (question: Question) => comparison.answers[question] !== 'no-difference-shown';
  return {
    shown: QUESTIONS.filter(isShown).flatMap((question) => WORDS[question](comparison) ?? []),
    open: QUESTIONS.filter(
      (question) => !isShown(question) && WORDS[question](comparison) !== null,
    ),
  };
}

/** How large a difference could still hide behind what is not shown. */
export function couldHide(comparison: Comparison): string[] {
  const { open } = shownWords(comparison);
  return open.flatMap((question) => {
    const words = WORDS[question](comparison);
    return words === null ? [] : [words];
  });
}

/** "12 more runs in each would settle the success." */
export function moreRunsSentence({ moreRuns }: Comparison): string | null {
  if (moreRuns === undefined) return null;
  return `If it is as it looks, ${counted(moreRuns.perSeries, 'more run')} in each would settle the ${SUBJECT[moreRuns.question]}.`;
}

/** More runs than that in each are no answer to a coach, but a figure beside it. */
const NEAR_RUNS = 60;

/** Runs after aiming anew that show whether the middle stays where it was brought. */
const RUNS_TO_PROVE_AIM = 3;

/** Closer together but aimed wrong: what to do, and what it would bring. */
function reAimSentence({ a, b, spread, reAim }: Comparison): string | null {
  if (reAim === undefined || spread === null || a.biasM === null || b.biasM === null) return null;
  const { byM, success } = reAim;
  const would =
    success === null
      ? ''
      : `: about ${number(100 * success.rate)} of 100 would work then (${number(100 * success.low95)} to ${number(100 * success.high95)}), if the offset stays as it is`;
  return `Closer together (${errorLength(spread.meanDistanceAM)} → ${errorLength(spread.meanDistanceBM)}); now re-aim by ${errorLength(byM)}${would}. ${counted(RUNS_TO_PROVE_AIM, 'run')} after that prove it; from day to day, and from hand to hand, the middle itself may wander.`;
}

/** Whether it helped, in one or two plain sentences. */
export function compareSentence(comparison: Comparison | null): string {
  if (comparison === null) return TOO_FEW;
  const reAim = reAimSentence(comparison);
  if (reAim !== null) return `${OPENING.helped}. ${reAim}`;
  const { shown, open } = shownWords(comparison);
  const first =
    shown.length === 0
      ? `${OPENING['no-difference-shown']}: what differs may be chance.`
      : `${OPENING[comparison.verdict]}: ${shown.join('; ')}.`;
  const unchanged =
    shown.length === 0 || open.length === 0
      ? ''
      : ` Of the ${open.map((question) => SUBJECT[question]).join(' and the ')} no difference is shown.`;
  const isNear = (comparison.moreRuns?.perSeries ?? Infinity) <= NEAR_RUNS;
  const more = isNear ? moreRunsSentence(comparison) : null;
  const ends =
    comparison.bias === null
      ? ' Where they end is not compared: three measured ends in each are needed for that.'
      : '';
  return `${first}${unchanged}${more === null ? '' : ` ${more}`}${ends}`;
}
