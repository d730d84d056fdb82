import type { ReactNode } from 'react';
import { Notice } from '../../../ui/Notice';

interface Props<T> {
  summary: string;
  waiting: string;
  /** The answer, which is sought while somebody asks. */
  found: { answer: T | null; problem: string | null };
  onAsked(isAsked: boolean): void;
  children(answer: T): ReactNode;
}

/** A question that the simulator is asked when its fold is opened. */
export function AskSimulator<T>({ summary, waiting, found, onAsked, children }: Props<T>) {
  const { answer, problem } = found;
  return (
    <details onToggle={({ currentTarget }) => onAsked(currentTarget.open)}>
      <summary>{summary}</summary>
      {problem !== null && <Notice tone="fault">{problem}</Notice>}
      {answer === null && problem === null && <p role="status">{waiting}</p>}
      {answer !== null && children(answer)}
    </details>
  );
}
