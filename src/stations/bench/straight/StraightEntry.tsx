import { useRef, useState } from 'react';
import { ulid } from 'ulid';
import type { StraightTrialRecord, StraightTrials } from '../../../formats/benchRecords';
import { Button } from '../../../ui/Button';
import { FieldsInErrorProvider, MendFirst, useFieldsInError } from '../../../ui/fieldsInError';
import { fieldsOf, RecordForm } from '../../../ui/recordForm';
import { BENCH_LENGTH, SMALL_LENGTH, SPEED } from '../../../ui/units';
import { straightForm } from '../../parsers';
import styles from '../Bench.module.css';
import type { StraightEntryValues } from '../entrySchemas';
import { useProgram } from '../standIn/useProgram';

const F = fieldsOf<StraightEntryValues>();

interface Props {
  keep: StraightTrials['conditions']['keep'];
  onTrial(trial: StraightTrialRecord): void;
}

/** A straight drive: typed from the tape, or driven by the stand-in. */
export const StraightEntry = (props: Props) => (
  <FieldsInErrorProvider>
    <StraightDriveForm {...props} />
  </FieldsInErrorProvider>
);

function StraightDriveForm({ keep, onTrial }: Props) {
  const wrong = useFieldsInError();
  const [entry, setEntry] = useState<StraightEntryValues>({
    commandedM: 1,
    actualM: null,
    sidewaysM: null,
    speedMPerS: 0.3,
  });
  const first = useRef<HTMLInputElement>(null);
  const program = useProgram();
  const { commandedM, actualM, sidewaysM, speedMPerS } = entry;
  const trial = (actual: number, sideways: number | null): StraightTrialRecord => ({
    id: ulid(),
    commandedM,
    actualM: actual,
    sidewaysM: sideways,
    speedMPerS,
    setAsideReason: null,
  });
  const add = () => {
    if (actualM === null || wrong > 0) return;
    onTrial(trial(actualM, sidewaysM));
    setEntry({ ...entry, actualM: null, sidewaysM: null });
    first.current?.focus();
  };
  const drive = () =>
    void program.run(
      [{ kind: 'straight', distanceM: commandedM, speedMPerS, holdHeading: keep === 'heading' }],
      ({ xM, yM }) => onTrial(trial(xM, yM)),
    );
  return (
    <RecordForm
      className={styles.work}
      record={entry}
      schema={straightForm}
      onChange={setEntry}
      onSubmit={add}
    >
      <div className={styles.fields}>
        <F.Number
          name="commandedM"
          label="Told to drive"
          unit={BENCH_LENGTH}
          min={-1000}
          max={1000}
        />
        <F.Number name="speedMPerS" label="At" unit={SPEED} min={1} max={500} />
        <F.Number
          name="actualM"
          label="Truly driven"
          unit={SMALL_LENGTH}
          min={-10_000}
          max={10_000}
          optional
          inputRef={first}
        />
        <F.Number
          name="sidewaysM"
          label="To the left by"
          unit={SMALL_LENGTH}
          min={-5000}
          max={5000}
          optional
          hint="right is negative; empty if nobody measured it"
        />
      </div>
      <div className={styles.actions}>
        <Button look="strong" type="submit" disabled={actualM === null || wrong > 0}>
          Add the drive
        </Button>
        <Button
          disabled={!program.isOn || program.moving || program.running || wrong > 0}
          onClick={drive}
        >
          {program.running ? 'The stand-in drives …' : 'Let the stand-in drive it'}
        </Button>
      </div>
      <MendFirst />
      {program.problem !== null && (
        <p role="alert" className={styles.problem}>
          {program.problem}
        </p>
      )}
    </RecordForm>
  );
}
