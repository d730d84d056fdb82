import { useState } from 'react';
import { MOST_LETTERS } from '../../../core/description/description';
import { headingAxis, type ReportedAngle } from '../../../core/gyro/headingTests';
import { radiansFromDegrees } from '../../../core/geometry/angle';
import type { Reading } from '../../../formats/readings';
import { Button } from '../../../ui/Button';
import { TextField } from '../../../ui/fields/TextField';
import styles from '../Bench.module.css';
import type { useReadingNow } from '../logs/useReadingNow';
import own from './HeadingTests.module.css';
import { REPORTED_ANGLE } from '../../../core/trials/headingTest';
import { TrialsFile } from '../trials/TrialsFile';
import { Angle, Test, typedRead, type Read } from './parts';

interface Row {
  name: string;
  before: Read | null;
  after: Read | null;
}

interface Props {
  now: ReturnType<typeof useReadingNow>;
  before: string | null;
  onFound(found: ReturnType<typeof headingAxis>['found'], raw: readonly ReportedAngle[]): void;
}

const START: Row[] = ['yaw', 'pitch', 'roll'].map((name) => ({ name, before: null, after: null }));
/** Of wheels and arms, and no angle of the robot's own. */
const OF_MOTORS = /^(left|right|attachment)/;

const angles = (reading: Reading): { name: string; read: Read }[] =>
  Object.entries(reading).flatMap(([title, value]) =>
    title.endsWith('_deg') && typeof value === 'number' && !OF_MOTORS.test(title)
      ? [
          {
            name: title.slice(0, -'_deg'.length),
            read: { rad: radiansFromDegrees(value), tS: reading.t_s },
          },
        ]
      : [],
  );

const complete = (rows: readonly Row[]): ReportedAngle[] =>
  rows.flatMap(({ name, before, after }) =>
    name === '' || before === null || after === null
      ? []
      : [{ name, beforeRad: before.rad, afterRad: after.rad }],
  );

/** Which of several reported angles is the heading, as the controller is mounted. */
export function AxisTest({ now, before, onFound }: Props) {
  const [rows, setRows] = useState(START);
  const change = (next: Row[]) => {
    setRows(next);
    const told = complete(next);
    if (told.length > 0) onFound(headingAxis(told).found, told);
  };
  const at = (i: number, part: Partial<Row>) =>
    change(rows.map((row, k) => (k === i ? { ...row, ...part } : row)));
  const take = (when: 'before' | 'after') =>
    void now.take((reading) => {
      const read = angles(reading);
      change(
        read.map(({ name, read: one }) => {
          const old = rows.find((row) => row.name === name) ?? { name, before: null, after: null };
          return { ...old, [when]: one };
        }),
      );
    });
  const told = complete(rows);
  const result = told.length === 0 ? null : headingAxis(told);
  return (
    <Test
      title="Which angle is the heading?"
      how="Read every angle that the controller reports. Turn the robot a quarter to the left, flat on the table. Read them again."
      result={result && { sentence: result.sentence, isTold: result.found !== null }}
      before={before}
    >
      <div className={styles.actions}>
        <Button disabled={now.isTaking} onClick={() => take('before')}>
          Read all before
        </Button>
        <Button disabled={now.isTaking} onClick={() => take('after')}>
          Read all after
        </Button>
      </div>
      {rows.map((row, i) => (
        <div key={i} className={own.pair} role="group" aria-label={`Angle ${i + 1}`}>
          <TextField
            label="Called"
            maxLength={MOST_LETTERS}
            value={row.name}
            onChange={(name) => at(i, { name })}
          />
          <Angle label="Before" value={row.before} onChange={(read) => at(i, { before: read })} />
          <Angle label="After" value={row.after} onChange={(read) => at(i, { after: read })} />
        </div>
      ))}
      <TrialsFile
        label="Angles before and after (CSV)"
        kind={REPORTED_ANGLE}
        onTake={(taken) =>
          change(
            taken.map(({ name, beforeRad, afterRad }) => ({
              name,
              before: typedRead(beforeRad),
              after: typedRead(afterRad),
            })),
          )
        }
      />
    </Test>
  );
}
