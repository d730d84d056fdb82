import { useState, type ReactNode } from 'react';
import { counted } from '../../core/text/quantities';
import { Button } from '../../ui/Button';
import styles from './Bench.module.css';

/** A longer list is folded away when a screen opens. */
const SHOWN_OPEN = 8;

/** A table of trials under a line that says how many there are; it can be folded away. */
export function FoldedTable({
  label,
  count,
  what,
  children,
}: {
  label: string;
  count: number;
  what: string;
  children: ReactNode;
}) {
  // As it was found: a list that grows must not fold itself away.
  const [isOpen] = useState(count <= SHOWN_OPEN);
  return (
    <details open={isOpen}>
      <summary>{counted(count, what)}, the newest first</summary>
      <div className={styles.scroll}>
        <table className={styles.table} aria-label={label}>
          {children}
        </table>
      </div>
    </details>
  );
}

/** Set one trial aside, or take it back; none is ever deleted. */
export function AsideButton({
  what,
  isAside,
  onSetAside,
  onTakeBack,
}: {
  /** "trial 3" */
  what: string;
  isAside: boolean;
  onSetAside(): void;
  onTakeBack(): void;
}) {
  return isAside ? (
    <Button look="bare" aria-label={`Take ${what} back`} onClick={onTakeBack}>
      Take back
    </Button>
  ) : (
    <Button look="bare" aria-label={`Set ${what} aside`} onClick={onSetAside}>
      Set aside
    </Button>
  );
}
