import { useState } from 'react';
import type { LightThresholdCalibration } from '../../../core/calibrationValues/lightThreshold';
import { calibrationFromEdge } from '../../../core/calibration/kinds/lineFollowing/fromStudy';
import { gainText } from '../../../core/control/tuned';
import { FOLLOWING } from '../../../core/control/tunedDrives';
import { CROSSING } from '../../../core/light/description';
import type { Robot } from '../../../core/robot/robot';
import { roundLength } from '../../../core/text/lengths';
import { benchSpeed, percent } from '../../../core/text/quantities';
import { meanText } from '../../../core/text/rawReadings';
import { EDGE, USUAL_BEND_M } from '../../../core/tuning/edge/description';
import type { EdgeStudy } from '../../../core/tuning/edge/edgeStudy';
import { neededGainRadPerS } from '../../../core/tuning/edge/fastestRound';
import { looksAtEdge } from '../../../core/tuning/edge/followBend';
import { Button } from '../../../ui/Button';
import { Notice, Toast } from '../../../ui/Notice';
import { useToast } from '../../../ui/useToast';
import { ValueField } from '../../../ui/fields/ValueField';
import { gainUnit } from '../../../ui/fields/units';
import { Table } from '../../../ui/Table';
import { ApplyDialog } from '../apply/later';
import styles from '../Bench.module.css';
import { edgeFor } from '../gains/gainJobs';
import type { BenchProps } from '../procedure';
import { Steps } from '../Steps';
import { useAnswer } from '../useAnswer';

interface Props extends BenchProps {
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
  'Type target, gain and speed into the program, and when it is to stop. Judge the gain at the table by eye or by a trace.',
];

/** The middle between line and floor, as the sensor shows it where that was read. */
const targetText = (held: LightThresholdCalibration | null, target: number): string =>
  held === null
    ? `${percent(target)}, by the record`
    : meanText((held.lineReads + held.floorReads) / 2, held.step);

const Verdict = ({ study }: { study: EdgeStudy }) => (
  <div className={styles.verdict} data-testid="verdict">
    <p className={styles.headline}>{study.sentences.found}</p>
    <p>{study.sentences.means}</p>
    <p className={styles.next}>{study.sentences.next}</p>
  </div>
);

/** Following a line's edge: what to keep, with which gain at which speed round the tightest bend, and when it is lost. */
export default function Station({ robot, fitted, held, widthsM }: Props) {
  const looks = looksAtEdge(fitted);
  const tuned = fitted.measured.gains.line;
  const [asked, setAsked] = useState({
    speedMPerS: roundLength(FOLLOWING.usual),
    radiusM: roundLength(USUAL_BEND_M),
    lineWidthM: widthsM[0] ?? CROSSING.lineWidthM.default ?? 0.02,
    gainRadPerS: tuned === undefined ? null : Math.abs(tuned),
  });
  const [applying, setApplying] = useState(false);
  const [toast, tell] = useToast();
  const { radiusM, lineWidthM, speedMPerS, gainRadPerS } = asked;
  const request = { robot: fitted, size: { radiusM, lineWidthM }, speedMPerS, gainRadPerS };
  const question = looks === null || looks.span === 0 ? null : JSON.stringify(asked);
  const { answer: study, problem } = useAnswer(question, () => edgeFor(request));
  const value = study && calibrationFromEdge(request, study);
  const needs = (speed: number) => neededGainRadPerS(fitted, radiusM, speed);
  return (
    <>
      {study !== null ? (
        <Verdict study={study} />
      ) : (
        <p className={styles.headline}>
          {question === null
            ? 'Which gain at which speed holds the edge round the tightest bend? The record has no light sensor yet.'
            : 'Driving round the bend on the simulator …'}
        </p>
      )}
      {problem !== null && <Notice tone="fault">{problem}</Notice>}
      {question === null && (
        <Notice tone="careful">
          <a href={`/robot?robot=${robot.id}`}>Note the light sensor</a> in the record, then{' '}
          <a href={`/bench/light?robot=${robot.id}`}>read line and floor</a>.
        </Notice>
      )}
      {looks !== null && question !== null && (
        <>
          <section aria-label="Do" className={styles.do}>
            <Steps steps={STEPS} />
            <div className={styles.fields}>
              <ValueField
                field={EDGE.radiusM}
                value={radiusM}
                onChange={(next) => setAsked({ ...asked, radiusM: next })}
              />
              <ValueField
                field={EDGE.speedMPerS}
                value={speedMPerS}
                onChange={(next) => setAsked({ ...asked, speedMPerS: next })}
              />
              <ValueField
                field={EDGE.gainRadPerS}
                unit={gainUnit('line')}
                value={gainRadPerS}
                onChange={(next) => setAsked({ ...asked, gainRadPerS: next })}
                onClear={() => setAsked({ ...asked, gainRadPerS: null })}
              />
              <ValueField
                field={EDGE.lineWidthM}
                value={lineWidthM}
                onChange={(next) => setAsked({ ...asked, lineWidthM: next })}
              />
            </div>
          </section>
          <p>
            Target: <strong>{targetText(held, looks.target)}</strong>, the middle between line and
            floor{held === null ? '' : `${held.venue === '' ? '' : ` at ${held.venue}`}`}. Too much
            floor turns it towards the line.{' '}
            {tuned === undefined && (
              <>
                No gain along a line was tuned on this robot:{' '}
                <a href={`/bench/gains?robot=${robot.id}`}>judge one by eye or by a trace</a>.
              </>
            )}
          </p>
          <Table
            label="The gain that the bend needs, by speed"
            rows={[...new Set([...FOLLOWING.others, speedMPerS])].toSorted((a, b) => a - b)}
            keyOf={String}
            columns={[
              { title: 'At', head: true, cell: (speed: number) => benchSpeed(speed) },
              {
                title: 'Needs a gain of',
                number: true,
                cell: (speed: number) => gainText('line', needs(speed)),
              },
            ]}
          />
        </>
      )}
      {value !== null && (
        <div className={styles.actions}>
          <Button look="strong" onClick={() => setApplying(true)}>
            Apply this…
          </Button>
        </div>
      )}
      {applying && value !== null && (
        <ApplyDialog
          robot={robot}
          value={value}
          evidence={{ trialsId: null, stillCheckId: null, raw: [asked] }}
          surface={null}
          battery={null}
          onApplied={() => {
            setApplying(false);
            tell('This holds from now on.');
          }}
          onClose={() => setApplying(false)}
        >
          <p>
            Kept with the robot: target, gain, speed, and when the edge is lost. They rest on the
            simulator with the robot as it was measured; a trace at the table proves the gain.
          </p>
        </ApplyDialog>
      )}
      <Toast text={toast} />
    </>
  );
}
