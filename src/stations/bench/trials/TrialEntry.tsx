import { useRef, useState, type ReactNode, type RefObject } from 'react';
import { ulid } from 'ulid';
import type { ZodType } from 'zod';
import { Button } from '../../../ui/Button';
import {
  FieldsInErrorProvider,
  MendFirst,
  useFieldsInError,
} from '../../../ui/fields/fieldsInError';
import { RecordForm } from '../../../ui/fields/recordForm';
import styles from '../Bench.module.css';

/** What every trial has besides what was measured. */
interface Kept {
  id: string;
  setAsideReason: string | null;
}

interface Props<V extends object, T extends Kept> {
  /** What stands in the form at first. */
  start: V;
  schema(): Promise<ZodType<V>>;
  /** "Add the stop" */
  button: string;
  /** The trial that is entered; null while something of it is missing. */
  trialOf(entry: V): Omit<T, keyof Kept> | null;
  /** What stands in the form after one was added. */
  next(entry: V): V;
  onTrial(trial: T): void;
  /** The fields; the first to be typed for every trial is given the reference. */
  children(first: RefObject<HTMLInputElement | null>, entry: V): ReactNode;
  /** Further ways of getting a trial from what stands in the form. */
  more?(entry: V, isWrong: boolean): ReactNode;
  /** What stands under the form, and may fill some of it. */
  below?(fill: (part: Partial<V>) => void): ReactNode;
}

/** Entering trials one after the other, typed from a tape, a watch or a screen: Enter adds, and the next begins. */
export const TrialEntry = <V extends object, T extends Kept>(props: Props<V, T>) => (
  <FieldsInErrorProvider>
    <TrialForm {...props} />
  </FieldsInErrorProvider>
);

function TrialForm<V extends object, T extends Kept>(props: Props<V, T>) {
  const { schema, trialOf, next, onTrial } = props;
  const wrong = useFieldsInError();
  const [entry, setEntry] = useState(props.start);
  const first = useRef<HTMLInputElement>(null);
  const trial = trialOf(entry);
  const add = () => {
    if (trial === null || wrong > 0) return;
    onTrial({ ...trial, id: ulid(), setAsideReason: null } as T);
    setEntry(next(entry));
    // What stays in it (a value that is tried again) is typed over.
    first.current?.focus();
    first.current?.select();
  };
  return (
    <RecordForm
      className={styles.work}
      record={entry}
      schema={schema}
      onChange={setEntry}
      onSubmit={add}
    >
      <div className={styles.fields}>{props.children(first, entry)}</div>
      <div className={styles.actions}>
        <Button look="strong" type="submit" disabled={trial === null || wrong > 0}>
          {props.button}
        </Button>
        {props.more?.(entry, wrong > 0)}
      </div>
      <MendFirst />
      {props.below?.((part) => setEntry((now) => ({ ...now, ...part })))}
    </RecordForm>
  );
}
