import { positiveTurn } from '../../../core/text/quantities';
import { lazy, Suspense, useRef, useState } from 'react';
import { ulid } from 'ulid';
import { wrap } from '../../../core/geometry/angle';
import { whereRead } from '../../../core/channels/log';
import { headingLeftOver } from '../../../core/square/headingLeftOver';
import type { Corners, DrivenBy } from '../../../core/square/squarePath';
import type { LapRecord } from '../../../formats/benchRecords';
import type { RobotRecord } from '../../../formats/records';
import { Button } from '../../../ui/Button';
import {
  FieldsInErrorProvider,
  MendFirst,
  useFieldsInError,
} from '../../../ui/fields/fieldsInError';
import { fieldsOf, RecordForm } from '../../../ui/fields/recordForm';
import { SMALL_LENGTH, HEADING } from '../../../ui/fields/units';
import { lapForm } from '../../parsers';
import styles from '../Bench.module.css';
import type { LapEntryValues } from '../trials/entrySchemas';
import { lapProgram } from '../standIn/lapProgram';
import { ProgramProblem } from '../standIn/ProgramProblem';
import { useProgram } from '../standIn/useProgram';

/** What reads files is fetched when somebody opens it. */
const LogSource = lazy(async () => ({ default: (await import('../logs/LogSource')).LogSource }));

const F = fieldsOf<LapEntryValues>();

const NOTHING_READ = { xM: null, yM: null, headingRad: null };

interface Props {
  sideM: number;
  driven: DrivenBy;
  corners: Corners;
  robot: RobotRecord;
  onLap(lap: LapRecord): void;
}

/** A lap's return: typed from the ruler, or driven by the stand-in. */
export const LapEntry = (props: Props) => (
  <FieldsInErrorProvider>
    <LapForm {...props} />
  </FieldsInErrorProvider>
);

function LapForm({ sideM, driven, corners, robot, onLap }: Props) {
  const wrong = useFieldsInError();
  const [entry, setEntry] = useState<LapEntryValues>({
    direction: 'cw',
    goesOn: false,
    ...NOTHING_READ,
  });
  const { direction, goesOn, xM, yM, headingRad } = entry;
  const first = useRef<HTMLInputElement>(null);
  const program = useProgram();
  const [logWanted, setLogWanted] = useState(false);
  const complete = xM !== null && yM !== null && headingRad !== null;
  const lap = (x: number, y: number, heading: number, on: boolean): LapRecord => ({
    id: ulid(),
    direction,
    goesOn: on,
    driven,
    xM: x,
    yM: y,
    headingRad: heading,
    setAsideReason: null,
  });
  const add = () => {
    if (!complete || wrong > 0) return;
    onLap(lap(xM, yM, headingRad, goesOn));
    setEntry({ direction, goesOn, ...NOTHING_READ });
    first.current?.focus();
  };
  const drive = () =>
    void program.run(lapProgram(sideM, driven, direction, corners), (measured) =>
      onLap(lap(measured.xM, measured.yM, wrap(measured.turnedRad), false)),
    );
  return (
    <RecordForm
      className={styles.work}
      record={entry}
      schema={lapForm}
      onChange={setEntry}
      onSubmit={add}
    >
      <div className={styles.fields}>
        <F.Choice
          name="direction"
          label="Driven"
          options={[
            { value: 'cw', label: 'clockwise' },
            { value: 'ccw', label: 'counter-clockwise' },
          ]}
        />
        <F.Choice
          name="goesOn"
          label="Began"
          options={[
            { value: false, label: 'at the mark' },
            { value: true, label: 'where it stood' },
          ]}
        />
        <F.Number
          name="xM"
          label="Ended forward by"
          unit={SMALL_LENGTH}
          min={-5000}
          max={5000}
          optional
          inputRef={first}
        />
        <F.Number
          name="yM"
          label="Ended left by"
          unit={SMALL_LENGTH}
          min={-5000}
          max={5000}
          optional
        />
        <F.Number
          name="headingRad"
          label={`Turned over by (${positiveTurn()})`}
          unit={HEADING}
          min={-180}
          max={180}
          optional
        />
      </div>
      <div className={styles.actions}>
        <Button look="strong" type="submit" disabled={!complete || wrong > 0}>
          Add the lap
        </Button>
        <Button disabled={!program.isOn || program.moving || program.running} onClick={drive}>
          {program.running ? 'The stand-in drives …' : 'Let the stand-in drive a lap'}
        </Button>
      </div>
      <MendFirst />
      {driven === 'encoders' && (
        <details onToggle={() => setLogWanted(true)}>
          <summary>Heading from the robot’s own log</summary>
          <div className={styles.file}>
            <small className="faint">
              When encoders drive the lap, the gyro can say how far the robot has turned over.
            </small>
            {logWanted && (
              <Suspense fallback={null}>
                <LogSource
                  robot={robot}
                  meanwhile="Let it drive its lap, standing for a second before and after."
                  onLog={(log) => {
                    const { columns } = whereRead(log, ['headingRad']);
                    if (columns.headingRad !== undefined) {
                      const headingRad = headingLeftOver(columns.headingRad);
                      setEntry((now) => ({ ...now, headingRad }));
                    }
                  }}
                />
              </Suspense>
            )}
          </div>
        </details>
      )}
      <ProgramProblem program={program} />
    </RecordForm>
  );
}
