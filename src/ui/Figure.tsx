import type { ReactNode } from 'react';
import { classes } from './classes';
import styles from './Figure.module.css';

interface Props {
  label: string;
  /** The number as shown; null where there is none yet. */
  value: string | null;
  unit?: string;
  /** The interval, or what it was made from. */
  detail?: ReactNode;
  tone?: 'measured' | 'predicted' | 'fault';
  testId?: string;
  /** What the field's books call it, folded behind a question mark. */
  term?: string;
}

/** A large number with its small unit. */
export function Figure({ label, value, unit, detail, tone, testId, term }: Props) {
  return (
    <div className={classes(styles.figure, tone && styles[tone])} data-testid={testId}>
      <dt>
        {label}
        {term !== undefined && (
          <details className={styles.term}>
            <summary aria-label={`What is meant by “${label}”?`}>?</summary>
            {term}
          </details>
        )}
      </dt>
      <dd>
        {value === null ? (
          <span className={styles.none}>not yet</span>
        ) : (
          <>
            <span className={styles.value}>{value}</span>
            {unit !== undefined && <span className={styles.unit}> {unit}</span>}
          </>
        )}
        {detail !== undefined && <span className={styles.detail}>{detail}</span>}
      </dd>
    </div>
  );
}
