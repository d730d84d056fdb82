import { degreesFromRadians } from '../../../core/geometry/angle';
import { errorScale } from '../../../core/text/lengths';
import { useMemo, useState } from 'react';
import { driveFromSquare } from '../../../core/calibration/fromSquare';
import { encoderSquare, gyroSquare } from '../../../core/square/squareFit';
import { encoderSquareSentences, gyroSquareSentences } from '../../../core/square/squareStudy';
import {
  counted,
  number,
  errorLength,
  fineLength,
  headingFigure,
  positiveTurn,
  between,
  errorNumber,
} from '../../../core/text/quantities';
import type { LapRecord, SquareTrials, TrialListEntry } from '../../../formats/benchRecords';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/Choice';
import { Figure } from '../../../ui/Figure';
import { Toast } from '../../../ui/Notice';
import { NumberField } from '../../../ui/NumberField';
import { BENCH_LENGTH } from '../../../ui/units';
import { useToast } from '../../../ui/useToast';
import { SetAsideDialog } from '../../SetAsideDialog';
import { ApplyDialog } from '../apply/ApplyDialog';
import type { BenchProps } from '../procedure';
import styles from '../Bench.module.css';
import { KeepingLine } from '../KeepingLine';
import { TrialsFile } from '../TrialsFile';
import { ArchiveLine } from '../../ArchiveLine';
import { TrialLists } from '../TrialLists';
import { useTrials } from '../useTrials';
import { LapEntry } from './LapEntry';
import { LapTable } from './LapTable';
import { SquarePlot } from './SquarePlot';

interface Props extends BenchProps {
  trials: SquareTrials;
  /** All lists of laps of this robot. */
  lists: TrialListEntry[];
}

const REASONS = ['It ran into something', 'Not placed at the mark', 'Typed by mistake'];

function study({ conditions, trials }: SquareTrials, trackM: number) {
  const used = trials.filter(({ setAsideReason }) => setAsideReason === null);
  const cw = used.filter(({ direction }) => direction === 'cw');
  const ccw = used.filter(({ direction }) => direction === 'ccw');
  if (cw.length === 0 || ccw.length === 0) return { cw, ccw, encoders: null, gyro: null };
  const laps = { sideM: conditions.sideM, trackM, cw, ccw };
  return conditions.driven === 'encoders'
    ? { cw, ccw, encoders: encoderSquare(laps), gyro: null }
    : { cw, ccw, encoders: null, gyro: gyroSquare(laps) };
}

function Figures({ encoders, gyro }: ReturnType<typeof study>) {
  if (encoders !== null) {
    const between = (low: number, high: number) => `${number(low, 4)} to ${number(high, 4)} (95 %)`;
    return (
      <dl className={styles.figures}>
        <Figure
          label="True track over nominal"
          value={number(encoders.trackRatio, 4)}
          detail={between(encoders.trackRatioLow95, encoders.trackRatioHigh95)}
          tone="measured"
          testId="track-ratio"
        />
        <Figure
          label="Right wheel over left"
          value={number(encoders.diameterRatio, 4)}
          detail={between(encoders.diameterRatioLow95, encoders.diameterRatioHigh95)}
          tone="measured"
          testId="diameter-ratio"
        />
        <Figure label="Left wheel, times" value={number(encoders.leftWheelFactor, 4)} />
        <Figure label="Right wheel, times" value={number(encoders.rightWheelFactor, 4)} />
        <Figure
          label="Ends off the start"
          value={errorNumber(encoders.closureBeforeM)}
          unit={errorScale().label}
          detail={`about ${errorLength(encoders.closureAfterM)} after correcting`}
          tone="predicted"
          testId="closure"
        />
      </dl>
    );
  }
  if (gyro === null) return null;
  const degrees = (value: number) => number(degreesFromRadians(value), 2);
  const directed = (value: number) => number(headingFigure(value), 2);
  const range = (ends: [number, number] | null, say: (value: number) => string) =>
    ends === null
      ? 'two laps each way tell how sure'
      : `${say(ends[0])} to ${say(ends[1])}° (95 %)`;
  const { turnBiasLow95, turnBiasHigh95, driftLow95, driftHigh95 } = gyro;
  const bias: [number, number] | null =
    turnBiasLow95 === null || turnBiasHigh95 === null ? null : [turnBiasLow95, turnBiasHigh95];
  const drift =
    driftLow95 === null || driftHigh95 === null ? null : between(driftLow95, driftHigh95);
  return (
    <dl className={styles.figures}>
      <Figure
        label="Each quarter turn too far by"
        value={degrees(gyro.turnBiasRad)}
        unit="°"
        detail={range(bias, degrees)}
        tone="measured"
      />
      <Figure
        label={`Drift a lap (${positiveTurn()})`}
        value={directed(gyro.driftRadPerLap)}
        unit="°"
        detail={range(drift, directed)}
        tone="measured"
      />
    </dl>
  );
}

/** Square path: laps both ways tell the true track and wheels, or drift and turn bias. */
export default function Station({ robot, trials: loaded, lists }: Props) {
  const kept = useTrials(loaded);
  const { record, setConditions, add, replace, keep, keeping, problem } = kept;
  const [aside, setAside] = useState<LapRecord | null>(null);
  const [applying, setApplying] = useState(false);
  const [toast, tell] = useToast();
  const { trackM } = robot.robot;
  const found = useMemo(() => study(record, trackM), [record, trackM]);
  const { cw, ccw, encoders, gyro } = found;
  const sentences =
    encoders !== null
      ? encoderSquareSentences(encoders)
      : gyro !== null
        ? gyroSquareSentences(gyro)
        : null;
  const { conditions } = record;
  const value = encoders === null ? null : driveFromSquare(encoders);
  return (
    <>
      {sentences === null ? (
        <p className={styles.headline}>
          Let the robot drive a square, both ways round: where it ends tells how wide its track
          truly is and whether its wheels are alike. {counted(cw.length, 'lap')} clockwise and{' '}
          {ccw.length} counter-clockwise so far.
        </p>
      ) : (
        <div className={styles.verdict} data-testid="square-verdict">
          <p className={styles.headline}>{sentences.found}</p>
          <p>{sentences.means}</p>
          <p className={styles.next}>{sentences.next}</p>
        </div>
      )}
      {cw.length + ccw.length > 0 && (
        <div className={styles.two}>
          <SquarePlot
            cw={cw}
            ccw={ccw}
            sideM={conditions.sideM}
            trackM={trackM}
            fit={encoders}
            sentence={sentences?.means ?? 'Laps in both directions are needed.'}
          />
          <Figures {...found} />
        </div>
      )}
      <section aria-label="Do" className={styles.do}>
        <ol className={styles.steps}>
          <li>Mark where the robot stands, and place it there before every lap.</li>
          <li>
            Let it drive one lap: four sides, a quarter turn after each, slow at the end: coasting
            looks like a narrow track.
          </li>
          <li>Measure how far forward, left and turned it ends. Three laps each way.</li>
        </ol>
        <div className={styles.fields}>
          <NumberField
            label="Side of the square"
            unit={BENCH_LENGTH}
            min={10}
            max={500}
            value={conditions.sideM}
            onChange={(sideM) => setConditions({ sideM })}
          />
          <Choice
            label="Sides and turns by"
            value={conditions.driven}
            options={[
              { value: 'encoders', label: 'encoders, heading hold off' },
              { value: 'gyro', label: 'the gyro' },
            ]}
            onChange={(driven) => setConditions({ driven })}
          />
        </div>
        <LapEntry sideM={conditions.sideM} driven={conditions.driven} robot={robot} onLap={add} />
        <TrialsFile
          label="Laps (CSV)"
          what="lap"
          columns="direction (cw or ccw), return_x_mm, return_y_mm, return_heading_deg"
          read={async (file, newId) =>
            (await import('../../../formats/trialsCsv')).readLaps(file, newId)
          }
          onTake={(laps) => add(...laps)}
        />
      </section>
      <div className={styles.actions}>
        {value !== null && (
          <Button look="strong" onClick={() => setApplying(true)}>
            Apply these sizes…
          </Button>
        )}
        {record.trials.length > 0 && (
          <>
            <a href={`/bench/square?robot=${robot.id}&new`}>Begin a new list</a>
            <KeepingLine keeping={keeping} problem={problem} onKeep={keep} />
          </>
        )}
      </div>
      {record.trials.length > 0 && (
        <LapTable
          laps={record.trials}
          onSetAside={setAside}
          onTakeBack={(lap) => replace({ ...lap, setAsideReason: null })}
        />
      )}
      {applying && value !== null && (
        <ApplyDialog
          robot={robot}
          value={value}
          evidence={{ trialsId: record.id, stillCheckId: null, raw: [...cw, ...ccw] }}
          surface={conditions.surface || null}
          battery={conditions.battery || null}
          onApplied={() => {
            setApplying(false);
            tell('These sizes hold from now on.');
          }}
          onClose={() => setApplying(false)}
        >
          <p>
            The Course computes from now on with a track of {fineLength(trackM * value.trackRatio)}{' '}
            instead of {fineLength(trackM)}, a left wheel of{' '}
            {errorLength(robot.robot.wheelDiameterM * value.leftWheelFactor, 2)} and a right wheel
            of {errorLength(robot.robot.wheelDiameterM * value.rightWheelFactor, 2)}.
          </p>
        </ApplyDialog>
      )}
      {aside !== null && (
        <SetAsideDialog
          what="this lap"
          reasons={REASONS}
          caution="A lap that ended far off by itself is no reason."
          onConfirm={(setAsideReason) => {
            replace({ ...aside, setAsideReason });
            setAside(null);
          }}
          onClose={() => setAside(null)}
        />
      )}
      {record.trials.length > 0 && (
        <ArchiveLine what="list" archivedAt={record.archivedAt} onArchive={kept.setArchived} />
      )}
      <TrialLists
        title="Lists begun before"
        what="lap"
        href={`/bench/square?robot=${robot.id}`}
        lists={lists}
        openId={record.id}
      />
      <Toast text={toast} />
    </>
  );
}
