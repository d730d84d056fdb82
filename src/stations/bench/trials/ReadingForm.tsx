import { useRef, useState, type ClipboardEvent, type KeyboardEvent, type ReactNode } from 'react';
import { Button } from '../../../ui/Button';
import fields from '../../../ui/fields/TextField.module.css';
import styles from '../Bench.module.css';

interface Props {
  /** Of the field, and before its hints. */
  id: string;
  /** "It reads (cm)" */
  label: string;
  /** What it was read of, over and beside the field. */
  above?: ReactNode;
  before?: ReactNode;
  after?: ReactNode;
  /** Take what was typed or pasted; what is wrong with it, in a sentence, or null. */
  take(text: string): string | null;
  /** The arrow keys: up −1, down 1. */
  onArrow(way: 1 | -1): void;
  /** Why nothing can be added yet, as an empty label is; left out: something can. */
  isBlocked?: boolean;
  /** What is read live instead; null: nothing can be. */
  live: {
    label: string;
    isTaking: boolean;
    isOff?: boolean;
    problem: string | null;
    take(): void;
  } | null;
  more?: ReactNode;
  /** What the next reading is, and what else can be pressed. */
  place: ReactNode;
}

/** Reading after reading from a small screen: Enter adds, arrows change what it is of, l reads live, a column is pasted. */
export function ReadingForm(props: Props) {
  const { id, label, above, before, after, take, onArrow, isBlocked = false, live, place } = props;
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const isLiveOff = live === null || live.isTaking || live.isOff === true || isBlocked;
  const takeText = (typed: string) => {
    if (typed.trim() === '' || isBlocked) return;
    const wrong = take(typed);
    setProblem(wrong);
    if (wrong === null) setText('');
    input.current?.focus();
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'ArrowDown') onArrow(1);
    else if (event.key === 'ArrowUp') onArrow(-1);
    else if (event.key === 'l' && text === '' && !isLiveOff) live.take();
    else return;
    event.preventDefault();
  };
  const onPaste = (event: ClipboardEvent) => {
    const pasted = event.clipboardData.getData('text');
    if (!/[\n\r\t;]/.test(pasted)) return;
    event.preventDefault();
    takeText(pasted);
  };
  const wrong = problem ?? live?.problem ?? null;
  return (
    <form
      className={styles.work}
      aria-label="A reading"
      onSubmit={(event) => {
        event.preventDefault();
        takeText(text);
      }}
    >
      {above}
      <div className={styles.fields}>
        {before}
        <span className={fields.field}>
          <label htmlFor={`${id}-reading`}>{label}</label>
          <input
            id={`${id}-reading`}
            ref={input}
            inputMode="decimal"
            autoComplete="off"
            value={text}
            aria-describedby={`${id}-keys`}
            onChange={(event) => setText(event.target.value)}
            onKeyDown={onKeyDown}
            onPaste={onPaste}
          />
        </span>
        {after}
      </div>
      <div className={styles.actions}>
        <Button look="strong" type="submit" disabled={text.trim() === '' || isBlocked}>
          Add the reading <kbd>Enter</kbd>
        </Button>
        {props.more}
        {live !== null && (
          <Button disabled={isLiveOff} onClick={live.take}>
            {live.isTaking ? 'Reading …' : live.label} <kbd>l</kbd>
          </Button>
        )}
      </div>
      <p id={`${id}-keys`} className="faint" data-testid={`${id}-place`}>
        {place}
      </p>
      {wrong !== null && (
        <p role="alert" className={styles.problem}>
          {wrong}
        </p>
      )}
    </form>
  );
}
