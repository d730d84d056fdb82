import type { NumberValue } from '../../core/description/description';
import type { InputHTMLAttributes, ReactNode } from 'react';
import styles from './TextField.module.css';

interface Option {
  value: string;
  label: string;
}

/** A choice in a form that is sent as it is, without a script. */
export function PlainSelect({
  name,
  label,
  value,
  all,
  options,
  children,
}: {
  name: string;
  label: string;
  value: string | undefined;
  /** What an empty choice means. */
  all?: string;
  options?: readonly Option[];
  /** Options in groups. */
  children?: ReactNode;
}) {
  return (
    <span className={styles.field}>
      <label htmlFor={name}>{label}</label>
      <select id={name} name={name} defaultValue={value ?? ''}>
        {all !== undefined && <option value="">{all}</option>}
        {options?.map((one) => (
          <option key={one.value} value={one.value}>
            {one.label}
          </option>
        ))}
        {children}
      </select>
    </span>
  );
}

/** A field in a form that is sent as it is. */
export function PlainInput({
  name,
  label,
  value,
  limits,
  ...more
}: {
  name: string;
  label: ReactNode;
  value: string | number | undefined;
  /** Of a number. */
  limits?: NumberValue;
} & Omit<InputHTMLAttributes<HTMLInputElement>, 'name' | 'value' | 'id'>) {
  const { min, max } = limits ?? {};
  return (
    <span className={styles.field}>
      <label htmlFor={name}>{label}</label>
      <input
        id={name}
        name={name}
        defaultValue={value ?? ''}
        {...(limits !== undefined && { type: 'number', min, max })}
        {...more}
      />
    </span>
  );
}

/** Names as options that mean themselves. */
export const asOptions = (names: readonly string[]): Option[] =>
  names.map((name) => ({ value: name, label: name }));
