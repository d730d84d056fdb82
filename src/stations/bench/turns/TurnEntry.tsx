import { useMemo, useRef, useState, type ReactNode } from 'react';
import { ulid } from 'ulid';
import { radiansFromDegrees } from '../../../core/geometry/angle';
import type { Robot } from '../../../core/robot/robot';
import { turnAfterDrive } from '../../../core/turns/afterDrive';
import { degrees } from '../../../core/text/quantities';
import { TURN_ENTRY } from '../../../core/trials/turn';
import { trueAngle, type AngleReading } from '../../../core/turns/trial';
import type { TurnTrialRecord } from '../../../formats/benchRecords';
import { Button } from '../../../ui/Button';
import { FoldOnPhone } from '../../../ui/FoldOnPhone';
import {
  FieldsInErrorProvider,
  MendFirst,
  useFieldsInError,
} from '../../../ui/fields/fieldsInError';
import { fieldsOf, RecordForm } from '../../../ui/fields/recordForm';
import { turnForm } from '../../parsers';
import styles from '../Bench.module.css';
import type { TurnEntryValues } from '../trials/entrySchemas';
import { ProgramButton } from '../standIn/ProgramButton';
import { useProgram } from '../standIn/useProgram';
import { ProgramRate } from './ProgramRate';
import { BeganFields, MeasuredBy, ReadingFields, StoodFields } from './ReadingFields';
import { AskFirst, questionOf, type Asked } from './AskFirst';

/** What is tried next: sticky, so that repeating a trial takes one field. */
export type TurnSetting = Pick<TurnEntryValues, 'targetRad' | 'direction' | 'rateRadPerS' | 'kind'>;

export type Reading = Omit<TurnEntryValues, keyof TurnSetting>;

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
  { facedRad, place, readingRad }: Reading,
): Omit<TurnTrialRecord, 'actualRad' | 'measuredBy'> {
  return {
    id: ulid(),
    targetRad: signOf(setting.direction) * setting.targetRad,
    seen: null,
    wantedRad: null,
    rateRadPerS: setting.rateRadPerS,
    kind: setting.kind,
    durationS: null,
    facedRad,
    place,
    readingSdRad: null,
    afterDrive: null,
    times: 1,
    readingRad: readingRad === null ? null : signOf(setting.direction) * readingRad,
    setAsideReason: null,
  };
}

const SettingFields = ({ children }: { children: ReactNode }) => (
  <div className={styles.fields}>
    <F.Value name="targetRad" field={TURN_ENTRY.targetRad} />
    <F.Value name="direction" field={TURN_ENTRY.direction} />
    <F.Value name="rateRadPerS" field={TURN_ENTRY.rateRadPerS} />
    {children}
    <F.Value name="kind" field={TURN_ENTRY.kind} />
  </div>
);

/** What is tried, and how it is measured, in a line. */
const setUpAs = ({ targetRad, direction, rateRadPerS, kind, by }: TurnEntryValues): string =>
  `Told ${degrees(targetRad, 0)} to the ${direction} at ${degrees(rateRadPerS, 0)}/s, ${kind === 'spin' ? 'in place' : 'one wheel stands'}; measured by ${by}`;

const NOTHING_READ = {
  angleRad: null,
  offsetM: null,
  readingRad: null,
  startFacedRad: null,
  startReadRad: null,
};

const FIRST_READING: Reading = {
  by: 'protractor',
  means: 'whole',
  lengthM: 0.2,
  withinRad: radiansFromDegrees(5),
  wantedRad: radiansFromDegrees(90),
  lookedAt: 'one turn',
  followed: 'standing still',
  turnsTo: true,
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

/** What the turn itself was told and made, without what a drive before it left over. */
function ownTurn(
  { targetRad }: Pick<TurnTrialRecord, 'targetRad'>,
  endedRad: number,
  read: Reading,
) {
  if (read.followed === 'standing still') return { actualRad: endedRad };
  const { startFacedRad: facedRad, startReadRad: readingRad, turnsTo } = read;
  const afterDrive = { facedRad, readingRad, turnsTo };
  const { readingSdRad, ...own } = turnAfterDrive({ targetRad, endedRad }, afterDrive);
  return { ...own, afterDrive, ...(readingSdRad !== null && { readingSdRad }) };
}

/** One turn at a time: told, turned, measured; or taken from the stand-in. */
export const TurnEntry = (props: Props) => (
  <FieldsInErrorProvider>
    <TurnForm {...props} />
  </FieldsInErrorProvider>
);

function TurnForm({ robot, setting, onSetting, onTrial, tried }: Props) {
  const wrong = useFieldsInError();
  const [read, setRead] = useState(FIRST_READING);
  const first = useRef<HTMLInputElement>(null);
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
    first.current?.focus();
  };
  const add = () => {
    setProblem(null);
    setAsked(null);
    if (reading === null || by === 'eye' || wrong > 0) return;
    const trial = baseTrial(setting, read);
    try {
      const endedRad = trueAngle(reading, trial.targetRad, read.means);
      const complete = {
        ...trial,
        ...surenessOf(read),
        ...ownTurn(trial, endedRad, read),
        measuredBy: by,
      };
      const question = questionOf(complete, tried);
      if (question === null) enter(complete);
      else setAsked(question);
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error));
    }
  };
  const see = (seen: 'under' | 'right' | 'over') =>
    onTrial({
      ...baseTrial(setting, read),
      wantedRad: signOf(setting.direction) * read.wantedRad,
      actualRad: null,
      times: read.lookedAt === 'one turn' ? 1 : 4,
      seen,
      measuredBy: 'eye',
    });
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
      <FoldOnPhone says={setUpAs(entry)}>
        <SettingFields>
          <ProgramRate {...{ robot, setting, onSetting }} />
        </SettingFields>
        <MeasuredBy by={by} />
      </FoldOnPhone>
      <ReadingFields {...read} first={first} />
      {by !== 'eye' && <BeganFields {...read} />}
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
            first.current?.focus();
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
