import { useId, type InputHTMLAttributes } from 'react';
import styles from './TextField.module.css';

interface Props extends Omit<InputHTMLAttributes<HTMLInputElement>, 'onChange'> {
  label: string;
  value: string;
  onChange(value: string): void;
  /** Values to choose from while typing. */
  suggestions?: readonly string[];
  hint?: string;
}

export function TextField({ label, value, onChange, suggestions = [], hint, ...rest }: Props) {
  const id = useId();
  return (
    <span className={styles.field}>
      <label htmlFor={id}>{label}</label>
      <input
        {...rest}
        id={id}
        type="text"
        autoComplete="off"
        value={value}
        list={suggestions.length > 0 ? `${id}-list` : undefined}
        aria-describedby={hint === undefined ? undefined : `${id}-hint`}
        onChange={(event) => onChange(event.target.value)}
      />
      {suggestions.length > 0 && (
        <datalist id={`${id}-list`}>
          {suggestions.map((suggestion) => (
            <option key={suggestion} value={suggestion} />
          ))}
        </datalist>
      )}
      {hint !== undefined && <small id={`${id}-hint`}>{hint}</small>}
    </span>
  );
}
