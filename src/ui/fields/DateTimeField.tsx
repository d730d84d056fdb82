import { useId } from 'react';
import { instantOf, localOf } from '../dates';
import styles from './TextField.module.css';

interface Props {
  label: string;
  /** An instant, ISO 8601 in UTC. */
  value: string;
  onChange(value: string): void;
}

/** A date and a clock time, in the team's time zone. */
export function DateTimeField({ label, value, onChange }: Props) {
  const id = useId();
  return (
    <span className={styles.field}>
      <label htmlFor={id}>{label}</label>
      <input
        id={id}
        type="datetime-local"
        value={localOf(value)}
        onChange={(event) => {
          const instant = instantOf(event.target.value);
          if (instant !== null) onChange(instant);
        }}
      />
    </span>
  );
}
