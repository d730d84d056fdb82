import { useId } from 'react';
import styles from './TextField.module.css';

interface Props {
  label: string;
  /** An instant, ISO 8601 in UTC. */
  value: string;
  onChange(value: string): void;
}

/** What a local date and time are called by the browser's own field. */
function asLocal(iso: string): string {
  const at = new Date(iso);
  const local = new Date(at.getTime() - at.getTimezoneOffset() * 60_000);
  return local.toISOString().slice(0, 16);
}

/** A date and a clock time, in the time zone of whoever types it. */
export function DateTimeField({ label, value, onChange }: Props) {
  const id = useId();
  return (
    <span className={styles.field}>
      <label htmlFor={id}>{label}</label>
      <input
        id={id}
        type="datetime-local"
        value={asLocal(value)}
        onChange={(event) => {
          const at = new Date(event.target.value);
          if (!Number.isNaN(at.getTime())) onChange(at.toISOString());
        }}
      />
    </span>
  );
}
