import { LAP_LIST } from '../../../core/trials/lists/driving';
import { LAP_TRIAL } from '../../../core/trials/lap';
import { CARE_AT_THE_BENCH } from '../../../core/course/care';
import { useMemo } from 'react';
import type { GyroDriftCalibration } from '../../../core/calibrationValues/gyroDrift';
import { driveFromSquare } from '../../../core/calibration/kinds/drive/fromStudy';
import { encoderSquareSentences, gyroSquareSentences } from '../../../core/square/squareStudy';
import { counted, errorLength, fineLength } from '../../../core/text/quantities';
import type { SquareTrials, TrialListEntry } from '../../../formats/benchRecords';
import { ChoiceField } from '../../../ui/fields/ChoiceField';
import { ValueField } from '../../../ui/fields/ValueField';
import type { BenchProps } from '../procedure';
import styles from '../Bench.module.css';
import { TrialsFile } from '../trials/TrialsFile';
import { ReadTo } from '../trials/ReadTo';
import { TrialsShell } from '../trials/TrialsShell';
import { useTrials } from '../trials/useTrials';
import { LapEntry } from './LapEntry';
import { LapTable } from './LapTable';
import { SquareFigures } from './SquareFigures';
import { SquarePlot } from './SquarePlot';
import { studied } from './studied';
import { fetchedLater } from '../../../ui/fetchedLater';

/** Fetched when there are laps of both. */
const SquareWays = fetchedLater(async () => (await import('./SquareWays')).SquareWays);

interface Props extends BenchProps {
  trials: SquareTrials;
  /** All lists of laps of this robot. */
  lists: TrialListEntry[];
  /** What a still check showed and was applied: it parts turns and drift where laps go one way. */
  drift: GyroDriftCalibration | null;
}

const STEPS = [
  'Mark where the robot stands, and place it there before every lap.',
  'Let it drive one lap: four sides, a quarter turn after each, slow at the end: coasting looks like a narrow track.',
  'Measure how far forward, left and turned it ends. Three laps each way.',
  CARE_AT_THE_BENCH,
];

const REASONS = ['It ran into something', 'Not placed at the mark', 'Typed by mistake'];

const sentencesOf = ({ encoders, gyro, oneWay }: ReturnType<typeof studied>) =>
  encoders !== null
    ? encoderSquareSentences(encoders)
    : gyro !== null
      ? gyroSquareSentences(gyro)
      : oneWay;

/** Square path: laps both ways tell the true track and wheels, or drift and turn bias. */
export default function Station({ robot, trials: loaded, lists, drift }: Props) {
  const kept = useTrials(loaded);
  const { record, setConditions, add, replace } = kept;
  const { trackM, wheelDiameterM } = robot.robot;
  const found = useMemo(() => studied(record, trackM, drift), [record, trackM, drift]);
  const { own, cw, ccw, encoders, gyro } = found;
  const sentences = sentencesOf(found);
  const { conditions } = record;
  const value = encoders === null ? null : driveFromSquare(encoders);
  return (
    <TrialsShell<SquareTrials>
      {...{ robot, kept, lists, sentences }}
      what="lap"
      reasons={REASONS}
      caution="A lap that ended far off by itself is no reason."
      opening={
        <>
          Let the robot drive a square, both ways round: where it ends tells how wide its track
          truly is and whether its wheels are alike. {counted(cw.length, 'lap')} clockwise and{' '}
          {ccw.length} counter-clockwise so far.{' '}
          <a href={`/bench/turns?robot=${robot.id}`}>No tape? See only whether it closes</a>: by
          eye, in Turns.
        </>
      }
      see={
        cw.length + ccw.length > 0 && (
          <div className={styles.two}>
            <SquarePlot
              cw={cw}
              ccw={ccw}
              sideM={conditions.sideM}
              trackM={trackM}
              corners={conditions.corners}
              fit={encoders}
              sentence={sentences?.means ?? 'Laps in both directions are needed.'}
            />
            <SquareFigures {...{ encoders, gyro }} />
          </div>
        )
      }
      steps={STEPS}
      doing={
        <>
          <div className={styles.fields}>
            <ValueField
              field={LAP_LIST.sideM}
              value={conditions.sideM}
              onChange={(sideM) => setConditions({ sideM })}
            />
            <ReadTo value={conditions.readToM} onChange={(readToM) => setConditions({ readToM })} />
            <ChoiceField
              field={LAP_LIST.driven}
              value={conditions.driven}
              onChange={(driven) => setConditions({ driven })}
            />
            <ChoiceField
              field={LAP_LIST.corners}
              value={conditions.corners}
              onChange={(corners) => setConditions({ corners })}
            />
            {conditions.driven === 'gyro' && (
              <ValueField
                field={LAP_LIST.lapS}
                onClear={() => setConditions({ lapS: null })}
                value={conditions.lapS}
                onChange={(lapS) => setConditions({ lapS })}
              />
            )}
          </div>
          <LapEntry {...conditions} robot={robot} onLap={add} />
          <TrialsFile label="Laps (CSV)" kind={LAP_TRIAL} onTake={(laps) => add(...laps)} />
        </>
      }
      know={own.some(({ driven }) => driven !== conditions.driven) && <SquareWays laps={own} />}
      asks={['surface', 'battery', 'who']}
      table={(ask) => (
        <LapTable
          laps={record.trials}
          onSetAside={ask}
          onTakeBack={(lap) => replace({ ...lap, setAsideReason: null })}
        />
      )}
      apply={{
        value,
        evidence: [...cw, ...ccw],
        label: 'Apply these sizes…',
        applied: 'These sizes hold from now on.',
        consequences: () =>
          value !== null && (
            <p>
              The Course computes from now on with a track of{' '}
              {fineLength(trackM * value.trackRatio)} instead of {fineLength(trackM)}, a left wheel
              of {errorLength(wheelDiameterM * value.leftWheelFactor, 2)} and a right wheel of{' '}
              {errorLength(wheelDiameterM * value.rightWheelFactor, 2)}.
            </p>
          ),
      }}
    />
  );
}
