import type { Pose } from '../../geometry/pose';
import type { MeasuredRun } from '../../runs/consistency';
import { counted, number } from '../../text/quantities';
import { compareSeries, type Answer, type Comparison, type Question } from '../compareSeries';
import { OPENING, questionWords, SUBJECT, TOO_FEW, TOO_FEW_ENDS } from '../sentence';
import { lookAllowed, type Look } from './lookOnce';

/** The question that each wish asks. */
export const QUESTION_OF = { aim: 'bias', spread: 'spread', success: 'success' } as const;

export type About = keyof typeof QUESTION_OF;

export interface PlannedVerdict {
  look: Look;
  /** Null before the first look. */
  answer: Answer | null;
  sentence: string;
  /** Whether no more runs are asked for. */
  isOver: boolean;
  /** What is looked at; null before the first look, or with too few measured ends. */
  comparison: Comparison | null;
}

const pValueOf = (comparison: Comparison, question: Question): number =>
  comparison[question]?.pValue ?? 1;

/** What a plan lacks that cannot be judged. */
export const tooFewFor = (about: About): string => (about === 'success' ? TOO_FEW : TOO_FEW_ENDS);

const tooEarly = (perSeries: number) =>
  `Not to be judged yet: the first look is with ${counted(Math.ceil(perSeries / 2), 'run')} of each. Looking earlier, and stopping when it looks good, would fool you.`;

function lookedSentence(comparison: Comparison, question: Question, answer: Answer, look: Look) {
  const words = questionWords(comparison, question) ?? `nobody noted the ${SUBJECT[question]}`;
  const found =
    answer === 'no-difference-shown'
      ? `No difference of the ${SUBJECT[question]} is shown: ${words}.`
      : `${OPENING[answer]}: ${words}.`;
  if (look.at === 'end') return found;
  return answer === 'no-difference-shown'
    ? `Half-way it is not beyond doubt: go on to the end of the plan.`
    : `${found} This is beyond doubt already (p at most ${number(look.level, 4)}): you may stop here.`;
}

/**
 * What a plan of two ways says: its one question, judged by itself, at the looks that were agreed beforehand. Only
 * as many runs count as were planned.
 *
 * @param a counting runs of the way without the change, in their order; `b` those with it
 */
export function plannedVerdict(
  { about, perSeries }: { about: About; perSeries: number },
  a: readonly MeasuredRun[],
  b: readonly MeasuredRun[],
  target: Pose,
): PlannedVerdict {
  const look = lookAllowed(perSeries, [a.length, b.length]);
  const nothing = { look, answer: null, comparison: null };
  if (look.at === 'too early') {
    return { ...nothing, isOver: false, sentence: tooEarly(perSeries) };
  }
  const isEnd = look.at === 'end';
  const comparison = compareSeries(a.slice(0, look.runsEach), b.slice(0, look.runsEach), target);
  const isAsked = about === 'success' ? comparison?.success : comparison?.bias;
  if (comparison === null || isAsked == null) {
    return { ...nothing, isOver: isEnd, sentence: tooFewFor(about) };
  }
  const question = QUESTION_OF[about];
  const isShown = pValueOf(comparison, question) <= look.level;
  const answer = isShown ? comparison.looked[question] : 'no-difference-shown';
  return {
    look,
    answer,
    comparison,
    isOver: isEnd || answer !== 'no-difference-shown',
    sentence: lookedSentence(comparison, question, answer, look),
  };
}
