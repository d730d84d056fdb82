import { useState, type ReactNode } from 'react';
import styles from './FoldOnPhone.module.css';
import { useNarrow } from './browser/useNarrow';

/** Fields that stay as they are from one entry to the next: on a phone one line says them, and a tap unfolds them. */
export function FoldOnPhone({ says, children }: { says: string; children: ReactNode }) {
  const isNarrow = useNarrow();
  const [isWanted, setWanted] = useState(false);
  return (
    <details className={styles.fold} open={!isNarrow || isWanted}>
      <summary
        onClick={(event) => {
          event.preventDefault();
          setWanted(!isWanted);
        }}
      >
        {says}
      </summary>
      {children}
    </details>
  );
}
