import { useMemo } from 'react';
import type { PositionFound } from '../../../core/attachments/moves';
import { movesStudy } from '../../../core/attachments/movesStudy';
import { calibrationFromMoves } from '../../../core/calibration/kinds/attachment/fromStudy';
import { MOST_LETTERS } from '../../../core/description/description';
import { devicesOf } from '../../../core/devices/ofRobot';
import { counted, degrees, errorLength } from '../../../core/text/quantities';
import { ATTACHMENT_MOVE } from '../../../core/trials/attachment';
import { ATTACHMENT_LIST } from '../../../core/trials/lists';
import type { AttachmentTrials, TrialListEntry } from '../../../formats/benchRecords';
import { Notice } from '../../../ui/Notice';
import { TextField } from '../../../ui/fields/TextField';
import { ValueField } from '../../../ui/fields/ValueField';
import { Table } from '../../../ui/Table';
import styles from '../Bench.module.css';
import type { BenchProps } from '../procedure';
import { notAside } from '../trials/openedList';
import { DescribedTable } from '../trials/DescribedTable';
import { TrialsFile } from '../trials/TrialsFile';
import { TrialsShell } from '../trials/TrialsShell';
import { useTrials } from '../trials/useTrials';
import { MoveEntry } from './MoveEntry';

interface Props extends BenchProps {
  trials: AttachmentTrials;
  lists: TrialListEntry[];
}

const STEPS = [
  'Hands away: it moves when its program begins. Let it go home first, at low power, against its stop or switch, with a time-out.',
  'Jog it by hand or by keys to a position, give that a name, and take the angle.',
  'Send it there five times from home; then from the other side, faster, and with what it carries. Read where it stands.',
];
const REASONS = ['It hit something', 'It was touched before it was read', 'Typed by mistake'];

/** How exactly each position is reached. */
const PositionTable = ({
  positions,
  armM,
}: {
  positions: readonly PositionFound[];
  armM: number;
}) => (
  <Table
    label="The positions"
    rows={positions}
    keyOf={({ position }) => position}
    columns={[
      { title: 'Position', head: true, cell: ({ position }) => position },
      { title: 'At', number: true, cell: ({ wantedRad }) => degrees(wantedRad) },
      { title: 'Moves', number: true, cell: ({ n }) => n },
      {
        title: 'Off on average (95 %)',
        number: true,
        cell: ({ offset: { value, low95, high95 } }) =>
          Number.isFinite(low95)
            ? `${degrees(value)} (${degrees(low95)} to ${degrees(high95)})`
            : degrees(value),
      },
      {
        title: 'Scatter',
        number: true,
        cell: ({ scatter: { sd } }) => (Number.isFinite(sd) ? `± ${degrees(sd)}` : 'not known'),
      },
      ...(armM > 0
        ? [
            {
              title: 'At its tip',
              number: true,
              cell: ({ scatter: { sd } }: PositionFound) =>
                Number.isFinite(sd) ? `± ${errorLength(sd * armM, 1)}` : 'not known',
            },
          ]
        : []),
    ]}
  />
);

/** Arms and other attachments: named positions, how exactly they are reached, play, lateness, load and time. */
export default function Station({ robot, trials: loaded, lists }: Props) {
  const kept = useTrials(loaded);
  const { record, add, replace, setConditions } = kept;
  const { armM, startsAt } = record.conditions;
  const used = useMemo(() => notAside(record.trials), [record]);
  const study = useMemo(() => movesStudy(used, armM), [used, armM]);
  const hasMotor = devicesOf(robot.robot, 'attachment motor').length > 0;
  return (
    <TrialsShell<AttachmentTrials>
      {...{ robot, kept, lists }}
      sentences={study?.sentences ?? null}
      what="move"
      reasons={REASONS}
      caution="A move that went too far by itself is no reason: the next one may, too."
      opening={
        <>
          Name the positions of an arm, send it there five times each, and read where it stands: how
          exactly it gets there, and what side, speed and load do to it.{' '}
          {counted(used.length, 'move')} so far.
        </>
      }
      see={
        <>
          {!hasMotor && (
            <Notice tone="careful">
              {robot.name} has no attachment motor in its record: to let this hold,{' '}
              <a href={`/robot?robot=${robot.id}`}>note it</a> first.
            </Notice>
          )}
          {study !== null && <PositionTable positions={study.found.positions} armM={armM} />}
        </>
      }
      steps={STEPS}
      doing={
        <>
          <MoveEntry robot={robot} trials={used} onTrial={add} />
          <div className={styles.fields}>
            <ValueField
              field={ATTACHMENT_LIST.armM}
              value={armM}
              onChange={(next) => setConditions({ armM: next })}
            />
            <TextField
              label={ATTACHMENT_LIST.startsAt.label}
              maxLength={MOST_LETTERS}
              value={startsAt}
              onChange={(text) => setConditions({ startsAt: text })}
            />
          </div>
          <TrialsFile
            label="Moves (CSV)"
            kind={ATTACHMENT_MOVE}
            onTake={(moves) => add(...moves)}
          />
          <p className="faint">
            Without feedback an arm is judged by its time: type how long it took.{' '}
            <a href={`/bench/loop?robot=${robot.id}`}>Loop and lag</a> says between which angles a
            turning arm cannot be missed.
          </p>
        </>
      }
      asks={['battery', 'who']}
      table={(ask) => (
        <DescribedTable
          label="Moves"
          kind={ATTACHMENT_MOVE}
          trials={record.trials}
          {...{ ask, replace }}
        />
      )}
      apply={{
        value: study !== null && hasMotor ? calibrationFromMoves(study.found, armM) : null,
        evidence: used,
        label: 'Apply these positions…',
        applied: 'These hold from now on.',
        consequences: () => (
          <p>The positions are kept with the robot, with what each scatters by.</p>
        ),
      }}
    />
  );
}
