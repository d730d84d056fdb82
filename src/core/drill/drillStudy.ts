import type { ThreeSentences } from '../gyro/still/stillSentence';
import { wilson, type SuccessRate } from '../stats/wilson';
import { answerOf } from './answers';
import { counted, number } from '../text/quantities';
import { dayIn } from '../text/dates';
import { teamZone } from '../text/displaySettings';

/** One trace that was judged: what it was, what was said, and when. */
export interface DrillAnswer {
  cause: string;
  answer: string;
  answeredAt: string;
}

/** How the traces of one cause were judged. */
export interface DrilledCause {
  cause: string;
  n: number;
  right: number;
  /** What it was most often taken for, if for anything else. */
  takenFor: string | null;
}

export interface DrillStudy {
  n: number;
  right: number;
  causes: DrilledCause[];
  /** The first day first. */
  days: { day: string; rate: SuccessRate }[];
  sentences: ThreeSentences;
}

/** What somebody is good at is only known from so many. */
const LEAST = 6;
const LAST = 10;

const isRight = ({ cause, answer }: DrillAnswer): boolean => cause === answer;

function mostOften(values: readonly string[]): string | null {
  const counts = new Map<string, number>();
  for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1);
  const [most] = [...counts].toSorted((a, b) => b[1] - a[1]);
  return most?.[0] ?? null;
}

function ofCause(cause: string, answers: readonly DrillAnswer[]): DrilledCause {
  const own = answers.filter((one) => one.cause === cause);
  const wrong = own.filter((one) => !isRight(one));
  return {
    cause,
    n: own.length,
    right: own.length - wrong.length,
    takenFor: mostOften(wrong.map(({ answer }) => answer)),
  };
}

function daysOf(answers: readonly DrillAnswer[]): DrillStudy['days'] {
  const days = new Map<string, DrillAnswer[]>();
  for (const one of answers) {
    const day = dayIn(new Date(one.answeredAt), teamZone());
    days.set(day, [...(days.get(day) ?? []), one]);
  }
  return [...days].flatMap(([day, some]) => {
    const rate = wilson(some.filter(isRight).length, some.length);
    return rate === null ? [] : [{ day, rate }];
  });
}

/**
 * How somebody judges traces, and what to look at next.
 *
 * @returns null before the first answer
 */
export function drillStudy(answers: readonly DrillAnswer[]): DrillStudy | null {
  if (answers.length === 0) return null;
  const n = answers.length;
  const right = answers.filter(isRight).length;
  const last = answers.slice(-LAST);
  const causes = [...new Set(answers.map(({ cause }) => cause))].map((cause) =>
    ofCause(cause, answers),
  );
  const [hardest] = causes
    .filter(({ takenFor }) => takenFor !== null)
    .toSorted((a, b) => a.right / a.n - b.right / b.n || b.n - a.n);
  const quoted = (cause: string) => `“${answerOf(cause)}”`;
  return {
    n,
    right,
    causes,
    days: daysOf(answers),
    sentences: {
      found: `${number(right)} of ${counted(n, 'trace')} judged right${n > LAST ? `, ${last.filter(isRight).length} of the last ${LAST}` : ''}.`,
      means:
        hardest === undefined || hardest.takenFor === null
          ? 'None was taken for another so far.'
          : `Most often missed: ${quoted(hardest.cause)}, taken for ${quoted(hardest.takenFor)}.`,
      next:
        n < LEAST
          ? `What is hard shows after ${counted(LEAST - n, 'more trace')}.`
          : 'Five a day, before the robot is switched on: after a week it is seen at a glance.',
    },
  };
}
