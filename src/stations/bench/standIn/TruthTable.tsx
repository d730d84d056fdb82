import { useMemo } from 'react';
import { secretsOf } from '../../../core/standIn/secrets';
import type { StandInTruth } from '../../../core/standIn/truth';
import styles from './StandIn.module.css';

/** What the procedures had to find out: shown afterwards, to learn from. */
export function TruthTable({ truth }: { truth: StandInTruth }) {
  const secrets = useMemo(() => secretsOf(truth), [truth]);
  return (
    <details className={styles.hand}>
      <summary>Its secrets</summary>
      <dl className={styles.secrets}>
        {secrets.map(({ name, value }) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </dl>
    </details>
  );
}
