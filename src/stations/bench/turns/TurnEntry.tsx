import { useMemo, useState, type ReactNode } from 'react';
import { ulid } from 'ulid';
import { radiansFromDegrees } from '../../../core/geometry/angle';
import type { Robot } from '../../../core/robot';
import { trueAngle, type AngleReading } from '../../../core/turns/trial';
import type { TurnTrialRecord } from '../../../formats/benchRecords';
import { Button } from '../../../ui/Button';
import { FieldsInErrorProvider, MendFirst, useFieldsInError } from '../../../ui/fieldsInError';
import { fieldsOf, RecordForm } from '../../../ui/recordForm';
import { DEG, DEG_PER_S, HEADING, SMALL_LENGTH } from '../../../ui/units';
import { turnForm } from '../../parsers';
import styles from '../Bench.module.css';
import type { TurnEntryValues } from '../entrySchemas';
import { ProgramButton } from '../standIn/ProgramButton';
import { useProgram } from '../standIn/useProgram';
import { ProgramRate } from './ProgramRate';
import { AskFirst, questionOf, type Asked } from './AskFirst';

/** What is tried next: sticky, so that repeating a trial takes one field. */
export type TurnSetting = Pick<TurnEntryValues, 'targetRad' | 'direction' | 'rateRadPerS' | 'kind'>;

type Reading = Omit<TurnEntryValues, keyof TurnSetting>;

const F = fieldsOf<TurnEntryValues>();

interface Props {
  robot: Robot;
  setting: TurnSetting;
  onSetting(setting: TurnSetting): void;
  onTrial(trial: TurnTrialRecord): void;
  /** Angles that were told before, magnitudes. */
  tried: readonly number[];
}

const signOf = (direction: 'left' | 'right') => (direction === 'left' ? 1 : -1);

function baseTrial(
  setting: TurnSetting,
  { facedRad, place }: Reading,
): Omit<TurnTrialRecord, 'actualRad' | 'measuredBy'> {
  return {
    id: ulid(),
    targetRad: signOf(setting.direction) * setting.targetRad,
    seen: null,
    rateRadPerS: setting.rateRadPerS,
    kind: setting.kind,
    durationS: null,
    facedRad,
    place,
    readingSdRad: null,
    setAsideReason: null,
  };
}

const SettingFields = ({ children }: { children: ReactNode }) => (
  <div className={styles.fields}>
    <F.Number name="targetRad" label="Told to turn" unit={DEG} min={5} max={720} />
    <F.Choice
      name="direction"
      label="To the"
      options={[
        { value: 'left', label: 'left' },
        { value: 'right', label: 'right' },
      ]}
    />
    <F.Number name="rateRadPerS" label="At" unit={DEG_PER_S} min={5} max={1000} />
    {children}
    <F.Choice
      name="kind"
      label="Wheels"
      options={[
        { value: 'spin', label: 'both, in place' },
        { value: 'pivot', label: 'one stands' },
      ]}
    />
  </div>
);

const NOTHING_READ = { angleRad: null, offsetM: null };

const FIRST_READING: Reading = {
  by: 'protractor',
  means: 'whole',
  lengthM: 0.2,
  withinRad: radiansFromDegrees(5),
  facedRad: null,
  place: '',
  ...NOTHING_READ,
};

/** What was read off, by whichever means; null: not all of it yet. */
function readOff({ by, angleRad, lengthM, offsetM }: Reading): AngleReading | null {
  if (by === 'protractor' || by === 'eye, in degrees') {
    return angleRad === null ? null : { by: 'protractor', angleRad };
  }
  if (offsetM === null || by === 'eye') return null;
  return by === 'along the reference'
    ? { by: 'along-reference', alongM: lengthM, offsetM }
    : { by: 'along-edge', edgeM: lengthM, offsetM };
}

/** What is given or taken holds 95 of 100 guesses: two standard deviations. */
const surenessOf = ({ by, withinRad }: Reading) => ({
  readingSdRad: by === 'eye, in degrees' ? withinRad / 2 : null,
});

const ReadingFields = ({ by, means }: Reading) => (
  <div className={styles.fields}>
    <F.Choice
      name="by"
      label="Truly turned, measured by"
      options={[
        { value: 'protractor', label: 'protractor' },
        { value: 'along the reference', label: 'ruler, reference' },
        { value: 'along the edge', label: 'ruler, edge' },
        { value: 'eye, in degrees', label: 'eye, in degrees' },
        { value: 'eye', label: 'eye' },
      ]}
    />
    {by !== 'eye' && (
      <F.Choice
        name="means"
        label="The reading is"
        options={[
          { value: 'whole', label: 'the whole turn' },
          { value: 'over', label: 'what is over' },
        ]}
      />
    )}
    {by === 'protractor' && (
      <F.Number
        name="angleRad"
        label="Protractor"
        unit={DEG}
        min={-90}
        max={800}
        optional
        hint={means === 'whole' ? 'as a positive number' : 'positive: too far'}
      />
    )}
    {by === 'eye, in degrees' && (
      <>
        <F.Number name="angleRad" label="About" unit={DEG} min={-90} max={800} optional />
        <F.Number
          name="withinRad"
          label="Give or take"
          unit={DEG}
          min={1}
          max={45}
          hint="95 of 100 such guesses are within it"
        />
      </>
    )}
    {(by === 'along the reference' || by === 'along the edge') && (
      <>
        <F.Number
          name="lengthM"
          label={by === 'along the edge' ? 'Length of the edge' : 'Along the reference'}
          unit={SMALL_LENGTH}
          min={10}
          max={2000}
        />
        <F.Number
          name="offsetM"
          label="Offset from the reference"
          unit={SMALL_LENGTH}
          min={-2000}
          max={2000}
          optional
        />
      </>
    )}
  </div>
);

/** Some sensors err by direction, some places by what is near: noted only by who looks for it. */
const StoodFields = ({ facedRad, place }: Reading) => (
  <details open={facedRad !== null || place !== ''}>
    <summary>Which way it faced, where it stood</summary>
    <div className={styles.fields}>
      <F.Number
        name="facedRad"
        label="Faced before the turn"
        unit={HEADING}
        min={-360}
        max={360}
        optional
        hint="0 along the table’s long edge"
      />
      <F.Text name="place" label="Stood at" maxLength={40} />
    </div>
  </details>
);

/** One turn at a time: told, turned, measured; or taken from the stand-in. */
export const TurnEntry = (props: Props) => (
  <FieldsInErrorProvider>
    <TurnForm {...props} />
  </FieldsInErrorProvider>
);

function TurnForm({ robot, setting, onSetting, onTrial, tried }: Props) {
  const wrong = useFieldsInError();
  const [read, setRead] = useState(FIRST_READING);
  const program = useProgram();
  const [problem, setProblem] = useState<string | null>(null);
  const [asked, setAsked] = useState<Asked | null>(null);
  const entry = useMemo(() => ({ ...setting, ...read }), [setting, read]);
  const { by } = read;
  const reading = readOff(read);
  const clear = () => setRead((now) => ({ ...now, ...NOTHING_READ }));
  const enter = (trial: TurnTrialRecord) => {
    onTrial(trial);
    setAsked(null);
    clear();
  };
  const add = () => {
    setProblem(null);
    setAsked(null);
    if (reading === null || by === 'eye' || wrong > 0) return;
    const trial = baseTrial(setting, read);
    try {
      const actualRad = trueAngle(reading, trial.targetRad, read.means);
      const complete = { ...trial, ...surenessOf(read), actualRad, measuredBy: by };
      const question = questionOf(complete, tried);
      if (question === null) enter(complete);
      else setAsked(question);
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error));
    }
  };
  const see = (seen: 'under' | 'right' | 'over') =>
    onTrial({ ...baseTrial(setting, read), actualRad: null, seen, measuredBy: 'eye' });
  const letStandInTurn = () => {
    const trial = baseTrial(setting, read);
    const how = { school: 'stop-early' as const, rateRadPerS: trial.rateRadPerS, leadRad: 0 };
    void program.run(
      [{ kind: 'turn', angleRad: trial.targetRad, how, pivots: trial.kind === 'pivot' }],
      (measured) =>
        onTrial({
          ...trial,
          actualRad: measured.turnedRad,
          durationS: measured.durationS,
          measuredBy: 'stand-in',
        }),
    );
  };
  return (
    <RecordForm
      className={styles.work}
      record={entry}
      schema={turnForm}
      onChange={({ targetRad, direction, rateRadPerS, kind, ...rest }) => {
        onSetting({ targetRad, direction, rateRadPerS, kind });
        setRead(rest);
      }}
      onSubmit={add}
    >
      <SettingFields>
        <ProgramRate {...{ robot, setting, onSetting }} />
      </SettingFields>
      <ReadingFields {...read} />
      <StoodFields {...read} />
      <div className={styles.actions}>
        {by === 'eye' ? (
          <>
            <Button onClick={() => see('under')}>Not far enough</Button>
            <Button onClick={() => see('right')}>Looks right</Button>
            <Button onClick={() => see('over')}>Too far</Button>
          </>
        ) : (
          <Button look="strong" type="submit" disabled={reading === null || wrong > 0}>
            Add the trial
          </Button>
        )}
        <ProgramButton
          program={program}
          label="Let the stand-in turn"
          busy="The stand-in turns …"
          onClick={letStandInTurn}
        />
      </div>
      <MendFirst />
      {asked !== null && (
        <AskFirst
          asked={asked}
          onEnter={enter}
          onAgain={() => {
            setAsked(null);
            clear();
          }}
        />
      )}
      {(problem ?? program.problem) !== null && (
        <p role="alert" className={styles.problem}>
          {problem ?? program.problem}
        </p>
      )}
    </RecordForm>
  );
}

export const FIRST_SETTING: TurnSetting = {
  targetRad: radiansFromDegrees(90),
  direction: 'left',
  rateRadPerS: radiansFromDegrees(90),
  kind: 'spin',
};
