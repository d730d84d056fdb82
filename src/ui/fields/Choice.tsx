import { useId } from 'react';
import { classes } from '../classes';
import styles from './Choice.module.css';

interface Props<T extends string> {
  label: string;
  /** Null: nothing is chosen yet. */
  value: T | null;
  options: readonly { value: NoInfer<T>; label: string }[];
  onChange(value: NoInfer<T>): void;
  /** In a sentence: small, and the label only for screen readers. */
  inline?: boolean;
}

/** One of a few, all in sight. */
export function Choice<T extends string>({
  label,
  value,
  options,
  onChange,
  inline = false,
}: Props<T>) {
  const name = useId();
  return (
    <fieldset className={classes(styles.choice, inline && styles.inline)}>
      <legend className={inline ? 'visually-hidden' : undefined}>{label}</legend>
      <span className={styles.row}>
        {options.map((option) => (
          <label key={option.value}>
            <input
              type="radio"
              name={name}
              value={option.value}
              checked={option.value === value}
              onChange={() => onChange(option.value)}
            />
            <span>{option.label}</span>
          </label>
        ))}
      </span>
    </fieldset>
  );
}
