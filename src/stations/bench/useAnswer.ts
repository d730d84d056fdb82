import { useEffect, useRef, useState } from 'react';
import { sentenceOf } from '../api';
import type { WorkerJob } from '../inWorker';

interface Answered<T> {
  /** What was asked. */
  question: string;
  answer: T | null;
  problem: string | null;
}

/** The answer to what is asked now; null until it is there, or where nothing is asked. */
export function useAnswer<T>(question: string | null, ask: () => WorkerJob<T>) {
  const [last, setLast] = useState<Answered<T> | null>(null);
  const asks = useRef(ask);
  useEffect(() => {
    asks.current = ask;
  });
  useEffect(() => {
    if (question === null) return;
    const job = asks.current();
    job.result.then(
      (answer) => setLast({ question, answer, problem: null }),
      (error: unknown) => setLast({ question, answer: null, problem: sentenceOf(error) }),
    );
    return () => job.cancel();
  }, [question]);
  const isOfNow = last !== null && last.question === question;
  return { answer: isOfNow ? last.answer : null, problem: isOfNow ? last.problem : null };
}
