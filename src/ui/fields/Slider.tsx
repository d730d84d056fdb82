import { useId } from 'react';
import type { NumberValue } from '../../core/description/description';
import { shortNumber } from '../../core/text/quantities';
import styles from './Slider.module.css';

interface Props {
  field: NumberValue;
  unit: string;
  step: number;
  value: number;
  onChange(value: number): void;
}

/** A number that is felt for rather than typed; the value stands beside it. */
export function Slider({ field, unit, step, value, onChange }: Props) {
  const { label, min, max } = field;
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
