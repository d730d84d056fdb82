import type { RouteDifference } from '../../core/course/compare';
import styles from './CourseStation.module.css';

const WORD = { added: 'new', removed: 'gone', changed: 'changed', moved: 'moved' } as const;

/** What differs between two versions, a line a change, before and after. */
export function DifferenceList({ differences }: { differences: readonly RouteDifference[] }) {
  if (differences.length === 0) return <p className="faint">Nothing differs.</p>;
  return (
    <ul className={styles.differences} aria-label="Differences">
      {differences.map(({ kind, stepNumber, before, after }, index) => (
        <li key={index}>
          <strong>
            {stepNumber === null ? 'Start' : `Step ${stepNumber}`}, {WORD[kind]}
          </strong>
          {before !== null && <del>{before}</del>}
          {after !== null && <ins>{after}</ins>}
        </li>
      ))}
    </ul>
  );
}
