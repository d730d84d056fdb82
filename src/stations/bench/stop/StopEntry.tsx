import { useRef, useState } from 'react';
import { ulid } from 'ulid';
import type { StopTrialRecord } from '../../../formats/benchRecords';
import { Button } from '../../../ui/Button';
import { FieldsInErrorProvider, MendFirst, useFieldsInError } from '../../../ui/fieldsInError';
import { fieldsOf, RecordForm } from '../../../ui/recordForm';
import { BENCH_LENGTH, SPEED } from '../../../ui/units';
import { stopForm } from '../../parsers';
import styles from '../Bench.module.css';
import type { StopEntryValues } from '../entrySchemas';

const F = fieldsOf<StopEntryValues>();

/** A stop, typed from the tape. */
export const StopEntry = (props: { onTrial(trial: StopTrialRecord): void }) => (
  <FieldsInErrorProvider>
    <StopEntryForm {...props} />
  </FieldsInErrorProvider>
);

function StopEntryForm({ onTrial }: { onTrial(trial: StopTrialRecord): void }) {
  const wrong = useFieldsInError();
  const [entry, setEntry] = useState<StopEntryValues>({
    speedMPerS: 0.2,
    thresholdM: 0.15,
    stopM: null,
  });
  const first = useRef<HTMLInputElement>(null);
  const { stopM } = entry;
  const add = () => {
    if (stopM === null || wrong > 0) return;
    onTrial({ ...entry, stopM, id: ulid(), setAsideReason: null });
    setEntry({ ...entry, stopM: null });
    first.current?.focus();
  };
  return (
    <RecordForm
      className={styles.work}
      record={entry}
      schema={stopForm}
      onChange={setEntry}
      onSubmit={add}
    >
      <div className={styles.fields}>
        <F.Number name="speedMPerS" label="Driven at" unit={SPEED} min={1} max={500} />
        <F.Number
          name="thresholdM"
          label="Told to stop at a gap of"
          unit={BENCH_LENGTH}
          min={0}
          max={1000}
        />
        <F.Number
          name="stopM"
          label="Truly stood at"
          unit={BENCH_LENGTH}
          min={-50}
          max={1000}
          optional
          inputRef={first}
          hint="from the bumper to the wall"
        />
      </div>
      <div className={styles.actions}>
        <Button look="strong" type="submit" disabled={stopM === null || wrong > 0}>
          Add the stop
        </Button>
      </div>
      <MendFirst />
    </RecordForm>
  );
}
