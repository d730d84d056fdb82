import { Button } from './Button';
import styles from './Progress.module.css';

interface Props {
  label: string;
  done: number;
  total: number;
  onCancel(): void;
}

export function Progress({ label, done, total, onCancel }: Props) {
  return (
    <div className={styles.progress}>
      <progress aria-label={label} value={done} max={total} />
      <span>
        {label}: {done} of {total}
      </span>
      <Button onClick={onCancel}>Cancel</Button>
    </div>
  );
}
