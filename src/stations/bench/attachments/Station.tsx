import { useMemo } from 'react';
import { movesStudy } from '../../../core/attachments/movesStudy';
import { calibrationFromMoves } from '../../../core/calibration/kinds/attachment/fromStudy';
import { devicesOf } from '../../../core/devices/ofRobot';
import { counted } from '../../../core/text/quantities';
import { ATTACHMENT_MOVE } from '../../../core/trials/attachment';
import type { AttachmentTrials, TrialListEntry } from '../../../formats/benchRecords';
import { Notice } from '../../../ui/Notice';
import type { BenchProps } from '../procedure';
import { notAside } from '../trials/openedList';
import { DescribedTable } from '../trials/DescribedTable';
import { TrialsFile } from '../trials/TrialsFile';
import { TrialsShell } from '../trials/TrialsShell';
import { useTrials } from '../trials/useTrials';
import { AboutArm } from './AboutArm';
import { MoveEntry } from './MoveEntry';
import { PositionTable } from './PositionTable';

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

/** Arms and other attachments: named positions, how exactly they are reached, play, lateness, load and time. */
export default function Station({ robot, trials: loaded, lists }: Props) {
  const kept = useTrials(loaded);
  const { record, add, replace, setConditions } = kept;
  const { conditions } = record;
  const used = useMemo(() => notAside(record.trials), [record]);
  const study = useMemo(() => movesStudy(used, conditions), [used, conditions]);
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
          {study !== null && <PositionTable found={study.found} told={conditions} />}
        </>
      }
      steps={STEPS}
      doing={
        <>
          <MoveEntry robot={robot} trials={used} rangeRad={conditions.rangeRad} onTrial={add} />
          <AboutArm robot={robot.robot} conditions={conditions} onChange={setConditions} />
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
        value: study !== null && hasMotor ? calibrationFromMoves(study.found, conditions) : null,
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
