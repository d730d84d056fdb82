import { useId } from 'react';
import { colourName } from '../../core/colour/name';
import styles from './ColourField.module.css';

interface Props {
  label: string;
  /** "#rrggbb" */
  value: string;
  onChange(colour: string): void;
}

/** A colour to be picked, with the word that comes nearest to it. */
export function ColourField({ label, value, onChange }: Props) {
  const id = useId();
  return (
    <span className={styles.field}>
      <label htmlFor={id}>{label}</label>
      <span className={styles.picked}>
        <input
          id={id}
          type="color"
          value={value}
          aria-describedby={`${id}-word`}
          onChange={(event) => onChange(event.target.value.toLowerCase())}
        />
        <span id={`${id}-word`}>{colourName(value)}</span>
      </span>
    </span>
  );
}
