import { useState } from 'react';
import { ulid } from 'ulid';
import type { NumberValue } from '../../../core/description/description';
import type { BenchStep } from '../../../core/standIn/steps/benchStep';
import type { Rechecked } from '../../../core/calibration/recheck';
import type { SavedCalibration, SavedCalibrationChange } from '../../../formats/benchRecords';
import { Button } from '../../../ui/Button';
import { ValueField } from '../../../ui/fields/ValueField';
import { putRecord, sentenceOf } from '../../api';
import styles from '../Bench.module.css';
import { useProgram, type Measured } from '../standIn/useProgram';

/** Something to be tried with what was just applied. */
export interface Asked {
  /** "90° to the left at 90°/s: stop at 86.8°" */
  told: string;
  /** What is then read: the label of its field. */
  label: string;
  /** What the stand-in does, and what the field holds of what it measured. */
  standIn?: { label: string; steps: BenchStep[]; valueOf(measured: Measured): number };
}

interface Props {
  title: string;
  calibration: SavedCalibration;
  asked: readonly Asked[];
  /** What is read. */
  field: NumberValue;
  /** What the values say that were typed so far, in the order of what was asked. */
  judge(values: readonly (number | null)[]): Rechecked;
  onTold(text: string): void;
  onNoted?(change: SavedCalibrationChange): void;
}

/** What was applied is tried at once: does it come right? The answer goes into the journal. */
export function Confirm({ title, calibration, asked, field, judge, onTold, onNoted }: Props) {
  const program = useProgram();
  const [values, setValues] = useState<(number | null)[]>(asked.map(() => null));
  const [noted, setNoted] = useState(false);
  const set = (i: number, value: number | null) =>
    setValues((old) => old.map((one, j) => (j === i ? value : one)));
  const { sentence, holds } = judge(values);
  const [id] = useState(() => ulid());
  const note = async () => {
    try {
      const line = await putRecord<SavedCalibrationChange>('calibration-changes', {
        id,
        robotId: calibration.robotId,
        unitId: calibration.unitId,
        kind: calibration.value.kind,
        calibrationId: calibration.id,
        reason: sentence,
        who: null,
        checked: holds,
      } as { id: string });
      setNoted(true);
      onNoted?.(line);
      onTold(holds ? 'Noted in the journal. It is fresh again.' : 'Noted in the journal.');
    } catch (error) {
      onTold(sentenceOf(error));
    }
  };
  return (
    <section aria-label="Confirmation" className={styles.do}>
      <h2>{title}</h2>
      <p>{sentence}</p>
      <ol className={styles.confirm}>
        {asked.map(({ told, label, standIn }, i) => (
          <li key={label}>
            <span>{told}</span>
            <ValueField
              inline
              field={field}
              label={label}
              value={values[i] ?? null}
              onChange={(value) => set(i, value)}
              onClear={() => set(i, null)}
            />
            {standIn !== undefined && (
              <Button
                disabled={!program.isOn || program.moving || program.running}
                onClick={() =>
                  void program.run(standIn.steps, (measured) => set(i, standIn.valueOf(measured)))
                }
              >
                Stand-in: {standIn.label}
              </Button>
            )}
          </li>
        ))}
      </ol>
      {values.every((value) => value !== null) && !noted && (
        <div className={styles.actions}>
          <Button look="strong" onClick={() => void note()}>
            Note it in the journal
          </Button>
        </div>
      )}
    </section>
  );
}
