import { useId } from 'react';
import { shortNumber } from '../../core/text/quantities';
import styles from './Slider.module.css';

interface Props {
  label: string;
  unit: string;
  min: number;
  max: number;
  step: number;
  value: number;
  onChange(value: number): void;
}

/** A number that is felt for rather than typed; the value stands beside it. */
export function Slider({ label, unit, min, max, step, value, onChange }: Props) {
  const id = useId();
  return (
    <span className={styles.slider}>
      <label htmlFor={id}>{label}</label>
      <span className={styles.row}>
        <input
          id={id}
          type="range"
          min={min}
          max={max}
          step={step}
          value={value}
          aria-valuetext={`${shortNumber(value, 2)} ${unit}`}
          onChange={(event) => onChange(event.target.valueAsNumber)}
        />
        <output htmlFor={id}>
          {shortNumber(value, 2)} <small>{unit}</small>
        </output>
      </span>
    </span>
  );
}
