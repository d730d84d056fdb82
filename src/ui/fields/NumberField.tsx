import { useId, useLayoutEffect, useRef, useState, type Ref } from 'react';
import { parseDecimal } from '../../core/text/decimal';
import { shortNumber } from '../../core/text/quantities';
import { classes } from '../classes';
import styles from './NumberField.module.css';
import { useTellInError } from './fieldsInError';
import type { Unit } from './units';

interface Props {
  label: string;
  unit: Unit;
  /** In SI; null shows an empty field. */
  value: number | null;
  onChange(value: number): void;
  /** Given where the field may be left empty; called when it is emptied. */
  onClear?: () => void;
  /** Limits, written as the unit says (`limitsPerSi`). */
  min: number;
  max: number;
  /** The least itself does not fit any more. */
  isOpen?: boolean;
  /** Only a whole number fits. */
  whole?: boolean;
  /** In a sentence the label is only for screen readers, and the field is as wide as its number. */
  inline?: boolean;
  hint?: string;
  /** What is wrong with it besides its limits. */
  problem?: string;
  inputRef?: Ref<HTMLInputElement>;
}

const asShown = (value: number | null, unit: Unit): string =>
  value === null ? '' : shortNumber(unit.show(value), unit.decimals).replace('−', '-');

/** Limits as they are shown: in the team's units, and the other way round where its turns are. */
function limitsIn(unit: Unit, least: number, most: number): [number, number] {
  const [a, b] = [least, most].map((limit) => unit.show(limit / unit.limitsPerSi));
  const ends = [a ?? least, b ?? most];
  return [Math.min(...ends), Math.max(...ends)];
}

/**
 * A number with its unit. What is typed counts at once when it fits; what does not fit stays in sight,
 * marked, with the reason, and nothing is saved until it is mended.
 */
export function NumberField({
  label,
  unit,
  value,
  onChange,
  min: least,
  max: most,
  isOpen = false,
  whole = false,
  inline = false,
  hint,
  problem: known,
  onClear,
  inputRef,
}: Props) {
  const id = useId();
  const shown = asShown(value, unit);
  const [text, setText] = useState(shown);
  const editing = useRef(false);
  /** The value that was last typed here: any other was put there by somebody else, such as a form that begins anew. */
  const given = useRef(value);
  // Within the stroke that put it there: what is typed next begins a new number.
  useLayoutEffect(() => {
    if (editing.current && value === given.current) return;
    given.current = value;
    setText(shown);
  }, [shown, value]);

  const [min, max] = limitsIn(unit, least, most);
  const typed = parseDecimal(text);
  const emptied = onClear !== undefined && text.trim() === '';
  const isFit = (one: number) =>
    (isOpen ? one > min : one >= min) && one <= max && (!whole || Number.isInteger(one));
  const fits = emptied || isFit(typed);
  const problem = fits
    ? (known ?? null)
    : `${whole ? 'a whole number, ' : ''}${isOpen ? 'above ' : ''}${shortNumber(min, 2)} to ${shortNumber(max, 2)}${unit.label.startsWith('°') ? '' : ' '}${unit.label} fits`;
  useTellInError(id, problem !== null);
  const commit = (next: string) => {
    setText(next);
    const number = parseDecimal(next);
    if (next.trim() === '' && onClear !== undefined) {
      given.current = null;
      onClear();
    } else if (isFit(number)) {
      given.current = unit.read(number);
      onChange(given.current);
    }
  };
  const nudge = (direction: number) => {
    const from = Number.isNaN(typed) ? (value === null ? 0 : unit.show(value)) : typed;
    const next = Math.min(max, Math.max(min, from + direction * unit.step));
    commit(shortNumber(next, unit.decimals).replace('−', '-'));
  };
  return (
    <span className={classes(styles.field, inline && styles.inline)}>
      <label htmlFor={id} className={inline ? 'visually-hidden' : styles.label}>
        {label}
      </label>
      <span className={classes(styles.box, problem !== null && styles.wrong)}>
        <input
          ref={inputRef}
          id={id}
          type="text"
          inputMode="decimal"
          autoComplete="off"
          value={text}
          size={inline ? Math.max(3, text.length) : 8}
          aria-invalid={problem !== null}
          aria-describedby={problem !== null || hint !== undefined ? `${id}-note` : undefined}
          onFocus={(event) => {
            editing.current = true;
            event.target.select();
          }}
          onBlur={() => {
            editing.current = false;
            // What is refused stays in sight; a number that fits is shown as it counts.
            if (problem === null) setText(asShown(value, unit));
          }}
          onChange={(event) => commit(event.target.value)}
          onKeyDown={(event) => {
            if (event.altKey || (event.key !== 'ArrowUp' && event.key !== 'ArrowDown')) return;
            event.preventDefault();
            nudge(event.key === 'ArrowUp' ? 1 : -1);
          }}
        />
        {unit.label !== '' && (
          <>
            <span className={styles.unit} aria-hidden="true">
              {unit.label}
            </span>
            <span className="visually-hidden">{unit.spoken}</span>
          </>
        )}
      </span>
      {problem !== null ? (
        <span id={`${id}-note`} className={styles.problem}>
          {problem}
        </span>
      ) : (
        hint !== undefined && (
          <span id={`${id}-note`} className={styles.hint}>
            {hint}
          </span>
        )
      )}
    </span>
  );
}
