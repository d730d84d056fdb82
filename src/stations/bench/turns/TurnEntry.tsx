import { useState } from 'react';
import { ulid } from 'ulid';
import { radiansFromDegrees } from '../../../core/geometry/angle';
import { trueAngle, type AngleReading } from '../../../core/turns/trial';
import type { TurnTrialRecord } from '../../../formats/benchRecords';
import { Button } from '../../../ui/Button';
import { FieldsInErrorProvider, MendFirst, useFieldsInError } from '../../../ui/fieldsInError';
import { Choice } from '../../../ui/Choice';
import { NumberField } from '../../../ui/NumberField';
import { DEG, DEG_PER_S, MM } from '../../../ui/units';
import styles from '../Bench.module.css';
import { useProgram } from '../standIn/useProgram';
import { AskFirst, questionOf, type Asked } from './AskFirst';

type MeasuredBy = 'protractor' | 'along the reference' | 'along the edge' | 'eye';

/** What is tried next: sticky, so that repeating a trial takes one field. */
export interface TurnSetting {
  targetRad: number;
  direction: 'left' | 'right';
  rateRadPerS: number;
  kind: 'spin' | 'pivot';
}

interface Props {
  setting: TurnSetting;
  onSetting(setting: TurnSetting): void;
  onTrial(trial: TurnTrialRecord): void;
  /** The stand-in is this robot's. */
  standInFits: boolean;
  /** Angles that were told before, magnitudes. */
  tried: readonly number[];
}

const signOf = (direction: 'left' | 'right') => (direction === 'left' ? 1 : -1);

function baseTrial(setting: TurnSetting): Omit<TurnTrialRecord, 'actualRad' | 'measuredBy'> {
  return {
    id: ulid(),
    targetRad: signOf(setting.direction) * setting.targetRad,
    seen: null,
    rateRadPerS: setting.rateRadPerS,
    kind: setting.kind,
    durationS: null,
    setAsideReason: null,
  };
}

function SettingFields({ setting, onSetting }: Pick<Props, 'setting' | 'onSetting'>) {
  return (
    <div className={styles.fields}>
      <NumberField
        label="Told to turn"
        unit={DEG}
        min={5}
        max={720}
        value={setting.targetRad}
        onChange={(targetRad) => onSetting({ ...setting, targetRad })}
      />
      <Choice
        label="To the"
        value={setting.direction}
        options={[
          { value: 'left', label: 'left' },
          { value: 'right', label: 'right' },
        ]}
        onChange={(direction) => onSetting({ ...setting, direction })}
      />
      <NumberField
        label="At"
        unit={DEG_PER_S}
        min={5}
        max={1000}
        value={setting.rateRadPerS}
        onChange={(rateRadPerS) => onSetting({ ...setting, rateRadPerS })}
      />
      <Choice
        label="Wheels"
        value={setting.kind}
        options={[
          { value: 'spin', label: 'both, in place' },
          { value: 'pivot', label: 'one stands' },
        ]}
        onChange={(kind) => onSetting({ ...setting, kind })}
      />
    </div>
  );
}

/** What was read off, by whichever means. */
function useReading() {
  const [by, setBy] = useState<MeasuredBy>('protractor');
  const [means, setMeans] = useState<'whole' | 'over'>('whole');
  const [angleRad, setAngle] = useState<number | null>(null);
  const [lengthM, setLength] = useState(0.2);
  const [offsetM, setOffset] = useState<number | null>(null);
  const reading = (): AngleReading | null => {
    if (by === 'protractor') return angleRad === null ? null : { by, angleRad };
    if (offsetM === null) return null;
    return by === 'along the reference'
      ? { by: 'along-reference', alongM: lengthM, offsetM }
      : { by: 'along-edge', edgeM: lengthM, offsetM };
  };
  const clear = () => {
    setAngle(null);
    setOffset(null);
  };
  return {
    by,
    setBy,
    means,
    setMeans,
    angleRad,
    setAngle,
    lengthM,
    setLength,
    offsetM,
    setOffset,
    reading,
    clear,
  };
}

function ReadingFields({ state }: { state: ReturnType<typeof useReading> }) {
  const { by, means } = state;
  return (
    <>
      <Choice
        label="The reading is"
        value={means}
        options={[
          { value: 'whole', label: 'the whole turn' },
          { value: 'over', label: 'what is over' },
        ]}
        onChange={state.setMeans}
      />
      {by === 'protractor' ? (
        <NumberField
          label="Protractor"
          unit={DEG}
          min={-90}
          max={800}
          value={state.angleRad}
          onChange={state.setAngle}
          onClear={() => state.setAngle(null)}
          hint={means === 'whole' ? 'as a positive number' : 'positive: too far'}
        />
      ) : (
        <>
          <NumberField
            label={by === 'along the edge' ? 'Length of the edge' : 'Along the reference'}
            unit={MM}
            min={10}
            max={2000}
            value={state.lengthM}
            onChange={state.setLength}
          />
          <NumberField
            label="Offset from the reference"
            unit={MM}
            min={-2000}
            max={2000}
            value={state.offsetM}
            onChange={state.setOffset}
            onClear={() => state.setOffset(null)}
          />
        </>
      )}
    </>
  );
}

/** One turn at a time: told, turned, measured; or taken from the stand-in. */
export const TurnEntry = (props: Props) => (
  <FieldsInErrorProvider>
    <TurnForm {...props} />
  </FieldsInErrorProvider>
);

function TurnForm({ setting, onSetting, onTrial, standInFits, tried }: Props) {
  const wrong = useFieldsInError();
  const state = useReading();
  const program = useProgram();
  const [problem, setProblem] = useState<string | null>(null);
  const [asked, setAsked] = useState<Asked | null>(null);
  const { by } = state;
  const enter = (trial: TurnTrialRecord) => {
    onTrial(trial);
    setAsked(null);
    state.clear();
  };
  const add = () => {
    setProblem(null);
    setAsked(null);
    const reading = state.reading();
    if (reading === null || by === 'eye' || wrong > 0) return;
    const trial = baseTrial(setting);
    try {
      const actualRad = trueAngle(reading, trial.targetRad, state.means);
      const complete = { ...trial, actualRad, measuredBy: by };
      const question = questionOf(complete, tried);
      if (question === null) enter(complete);
      else setAsked(question);
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error));
    }
  };
  const see = (seen: 'under' | 'right' | 'over') =>
    onTrial({ ...baseTrial(setting), actualRad: null, seen, measuredBy: 'eye' });
  const letStandInTurn = () => {
    const trial = baseTrial(setting);
    const how = { school: 'stop-early' as const, rateRadPerS: trial.rateRadPerS, leadRad: 0 };
    void program.run([{ kind: 'turn', angleRad: trial.targetRad, how }], (measured) =>
      onTrial({
        ...trial,
        actualRad: measured.turnedRad,
        durationS: measured.durationS,
        measuredBy: 'stand-in',
      }),
    );
  };
  return (
    <form
      className={styles.work}
      onSubmit={(event) => {
        event.preventDefault();
        add();
      }}
    >
      <SettingFields setting={setting} onSetting={onSetting} />
      <div className={styles.fields}>
        <Choice
          label="Truly turned, measured by"
          value={by}
          options={[
            { value: 'protractor', label: 'protractor' },
            { value: 'along the reference', label: 'ruler, reference' },
            { value: 'along the edge', label: 'ruler, edge' },
            { value: 'eye', label: 'eye' },
          ]}
          onChange={state.setBy}
        />
        {by !== 'eye' && <ReadingFields state={state} />}
      </div>
      <div className={styles.actions}>
        {by === 'eye' ? (
          <>
            <Button onClick={() => see('under')}>Not far enough</Button>
            <Button onClick={() => see('right')}>Looks right</Button>
            <Button onClick={() => see('over')}>Too far</Button>
          </>
        ) : (
          <Button look="strong" type="submit" disabled={state.reading() === null || wrong > 0}>
            Add the trial
          </Button>
        )}
        {standInFits && setting.kind === 'spin' && (
          <Button
            disabled={!program.isOn || program.moving || program.running}
            onClick={letStandInTurn}
          >
            {program.running ? 'The stand-in turns …' : 'Let the stand-in turn'}
          </Button>
        )}
      </div>
      <MendFirst />
      {asked !== null && (
        <AskFirst
          asked={asked}
          onEnter={enter}
          onAgain={() => {
            setAsked(null);
            state.clear();
          }}
        />
      )}
      {(problem ?? program.problem) !== null && (
        <p role="alert" className={styles.problem}>
          {problem ?? program.problem}
        </p>
      )}
    </form>
  );
}

export const FIRST_SETTING: TurnSetting = {
  targetRad: radiansFromDegrees(90),
  direction: 'left',
  rateRadPerS: radiansFromDegrees(90),
  kind: 'spin',
};
