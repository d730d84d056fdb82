import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { Copy, X } from 'lucide-react';
import type { ReactNode } from 'react';
import type { CheckFinding, Mend } from '../../../core/forecast/checks/check';
import { Button } from '../../../ui/Button';
import { classes } from '../../../ui/classes';
import styles from './StepList.module.css';

interface Props {
  id: string;
  number: string;
  isSelected: boolean;
  /** Under the sentence: where it ends, how long it takes. */
  foot: string;
  problems: readonly CheckFinding[];
  /** Mends one of them. */
  onMend?(mend: Mend): void;
  /** The sentence, and what belongs to it. */
  children: ReactNode;
  /** The steps that it owns. */
  inner?: ReactNode;
  /** Gives what is left out of it fields; left out: nothing is. */
  onMore?: () => void;
  /** What it is taught by placing the robot, where that is open; left out: nothing of it can be. */
  teach?: { isOpen: boolean; onToggle(): void; line: ReactNode };
  onSelect(): void;
  onDuplicate(): void;
  onRemove(): void;
}

/** A row of the route: its number to be moved by, its sentence, what it comes to, and the steps within it. */
export function StepRow(row: Props) {
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id: row.id });
  return (
    // The row only follows the focus and the pointer; everything in it is a control of its own.
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Transform.toString(transform), transition }}
      className={classes(styles.step, row.isSelected && styles.selected)}
      data-testid={`step-${row.number}`}
      data-step={row.id}
      // Of rows within each other the innermost is meant.
      onFocus={(event) => {
        event.stopPropagation();
        row.onSelect();
      }}
      onMouseOver={(event) => {
        event.stopPropagation();
        if (!row.isSelected) row.onSelect();
      }}
    >
      <button
        type="button"
        className={styles.handle}
        {...attributes}
        {...listeners}
        aria-label={`Move step ${row.number}`}
        title="Drag; or Space, arrows, Space; or Alt with arrows in the step"
      >
        {row.number}
      </button>
      <div className={styles.sentence}>
        {row.children}
        <div className={styles.rowFoot}>
          <small className={styles.arrival}>{row.foot}</small>
          <span className={styles.more}>
            {row.teach !== undefined && (
              <Button
                look="bare"
                aria-expanded={row.teach.isOpen}
                aria-label={`Teach step ${row.number} by placing the robot`}
                title="Take a value from where the robot now stands"
                onClick={row.teach.onToggle}
              >
                teach
              </Button>
            )}
            {row.onMore !== undefined && (
              <Button look="bare" aria-label={`More of step ${row.number}`} onClick={row.onMore}>
                more
              </Button>
            )}
          </span>
          <span className={styles.rowActions}>
            <Button
              look="bare"
              aria-label={`Duplicate step ${row.number}`}
              title="Duplicate"
              onClick={row.onDuplicate}
            >
              <Copy size={15} aria-hidden />
            </Button>
            <Button
              look="bare"
              aria-label={`Remove step ${row.number}`}
              title="Remove"
              onClick={row.onRemove}
            >
              <X size={16} aria-hidden />
            </Button>
          </span>
        </div>
        {row.teach?.isOpen === true && row.teach.line}
        {row.problems.map(({ sentence, mend }) => (
          <small key={sentence} className={styles.problem}>
            {sentence}{' '}
            {mend !== undefined && row.onMend !== undefined && (
              <Button look="bare" onClick={() => row.onMend?.(mend)}>
                {mend.words}
              </Button>
            )}
          </small>
        ))}
      </div>
      {row.inner}
    </li>
  );
}
