import { useState } from 'react';
import { ulid } from 'ulid';
import { calibrationFromEdge } from '../../../core/calibration/kinds/lineFollowing/fromStudy';
import type { LightThresholdCalibration } from '../../../core/calibrationValues/lightThreshold';
import type { Robot } from '../../../core/robot/robot';
import { percent } from '../../../core/text/quantities';
import { meanText } from '../../../core/text/rawReadings';
import { BEND_ROUND, type BendRoundRecord } from '../../../core/trials/bendRound';
import { heldAtTable, withTable } from '../../../core/tuning/edge/atTable';
import { looksAtEdge } from '../../../core/tuning/edge/followBend';
import type { BendRounds, TrialListEntry } from '../../../formats/benchRecords';
import { Button } from '../../../ui/Button';
import { Notice } from '../../../ui/Notice';
import styles from '../Bench.module.css';
import { edgeFor } from '../gains/gainJobs';
import type { BenchProps } from '../procedure';
import { DescribedTable } from '../trials/DescribedTable';
import { notAside } from '../trials/openedList';
import { TrialsFile } from '../trials/TrialsFile';
import { TrialsShell } from '../trials/TrialsShell';
import { useTrials } from '../trials/useTrials';
import { useAnswer } from '../useAnswer';
import { BendFields, firstAsked, NeededGains } from './BendAsked';

interface Props extends BenchProps {
  trials: BendRounds;
  lists: TrialListEntry[];
  /** The robot as it was measured. */
  fitted: Robot;
  /** The threshold that holds; null: line and floor are as the record has them. */
  held: LightThresholdCalibration | null;
  /** Of the lines on its tables, the narrowest first. */
  widthsM: number[];
}

const STEPS = [
  'Read line and floor where the robot will follow: the target is the middle between both.',
  'Say the tightest bend and the speed. The gain that this needs stands in the table.',
  'Type target, gain and speed into the program, and when it is to stop.',
  'Drive the bend at the table, both ways, and press how each round ended.',
];
const REASONS = [
  'It was touched on the way',
  'Another gain was in the program',
  'Pressed by mistake',
];

/** The middle between line and floor, as the sensor shows it where that was read. */
const targetText = (held: LightThresholdCalibration | null, target: number): string =>
  held === null
    ? `${percent(target)}, by the record`
    : meanText((held.lineReads + held.floorReads) / 2, held.step);

/** Following a line's edge: what to keep, with which gain at which speed round the tightest bend, and when it is lost. */
export default function Station(props: Props) {
  const { robot, fitted, held, widthsM, lists } = props;
  const looks = looksAtEdge(fitted);
  const tuned = fitted.measured.gains.line;
  const kept = useTrials(props.trials);
  const { record, add, replace } = kept;
  const used = notAside(record.trials);
  const [asked, setAsked] = useState(() => firstAsked(widthsM, tuned));
  const { radiusM, lineWidthM, speedMPerS } = asked;
  const request = { ...asked, robot: fitted, size: { radiusM, lineWidthM } };
  const question = looks === null || looks.span === 0 ? null : JSON.stringify(asked);
  const { answer: study, problem } = useAnswer(question, () => edgeFor(request));
  const gainRadPerS = study?.gainRadPerS ?? null;
  const table =
    gainRadPerS === null ? null : heldAtTable(used, { radiusM, speedMPerS, gainRadPerS });
  const ended = (how: BendRoundRecord['ended']) => {
    if (gainRadPerS === null) return;
    add({ id: ulid(), radiusM, speedMPerS, gainRadPerS, ended: how, setAsideReason: null });
  };
  return (
    <TrialsShell<BendRounds>
      {...{ robot, kept, lists }}
      sentences={study && (table === null ? study.sentences : withTable(study.sentences, table))}
      what="round"
      reasons={REASONS}
      caution="One that was lost by itself is no reason: it will be in a run, too."
      opening={
        question === null
          ? 'Which gain at which speed holds the edge round the tightest bend? The record has no light sensor yet.'
          : 'Driving round the bend on the simulator …'
      }
      see={
        <>
          {problem !== null && <Notice tone="fault">{problem}</Notice>}
          {question === null && (
            <Notice tone="careful">
              <a href={`/robot?robot=${robot.id}`}>Note the light sensor</a> in the record, then{' '}
              <a href={`/bench/light?robot=${robot.id}`}>read line and floor</a>.
            </Notice>
          )}
        </>
      }
      steps={STEPS}
      doing={
        question !== null && (
          <div className={styles.work}>
            <BendFields asked={asked} onChange={setAsked} />
            <div className={styles.actions}>
              <Button disabled={study === null} onClick={() => ended('held')}>
                It held the edge
              </Button>
              <Button disabled={study === null} onClick={() => ended('lost')}>
                It lost the edge
              </Button>
            </div>
            <TrialsFile
              label="Rounds along an edge (CSV)"
              kind={BEND_ROUND}
              onTake={(rounds) => add(...rounds)}
            />
          </div>
        )
      }
      asks={['surface', 'battery', 'who']}
      know={
        looks !== null &&
        question !== null && (
          <>
            <p>
              Target: <strong>{targetText(held, looks.target)}</strong>, the middle between line and
              floor{held === null || held.venue === '' ? '' : ` at ${held.venue}`}. Too much floor
              turns it towards the line.{' '}
              {tuned === undefined && (
                <>
                  No gain along a line was tuned on this robot:{' '}
                  <a href={`/bench/gains?robot=${robot.id}`}>judge one by eye or by a trace</a>.
                </>
              )}
            </p>
            <NeededGains robot={fitted} asked={asked} />
          </>
        )
      }
      table={(ask) => (
        <DescribedTable
          label="Rounds at the table"
          kind={BEND_ROUND}
          trials={record.trials}
          {...{ ask, replace }}
        />
      )}
      apply={{
        value: study && calibrationFromEdge(request, study, table),
        evidence: used.length > 0 ? used : [asked],
        label: 'Apply this…',
        applied: 'This holds from now on.',
        consequences: () => (
          <p>
            Kept with the robot: target, gain, speed, and when the edge is lost.{' '}
            {table === null
              ? 'They rest on the simulator with the robot as it was measured; rounds at the table prove them.'
              : `They rest on the simulator, and on ${table.n} rounds at the table.`}
          </p>
        ),
      }}
    />
  );
}
