import { STOP_LIST } from '../../../core/trials/lists/distance';
import { CARE_AT_THE_BENCH } from '../../../core/course/care';
import { useMemo } from 'react';
import type { RangeCalibration } from '../../../core/calibrationValues/range';
import { calibrationFromStops } from '../../../core/calibration/kinds/stop/fromStudy';
import { describeCalibration } from '../../../core/calibration/registry';
import { rankSentences, rankStops } from '../../../core/ranging/stopKinds';
import { STOPS_BY } from '../../../core/ranging/stopsBy';
import { readsOf, stopStudy } from '../../../core/ranging/stopStudy';
import { benchScale, errorFigure, errorScale } from '../../../core/text/lengths';
import { counted } from '../../../core/text/quantities';
import type { StopTrials, TrialListEntry } from '../../../formats/benchRecords';
import { ChoiceField } from '../../../ui/fields/ChoiceField';
import { Plot } from '../../../ui/chart/Plot';
import { Frame } from '../../../ui/Frame';
import { notAside } from '../trials/openedList';
import type { BenchProps } from '../procedure';
import { ReadTo } from '../trials/ReadTo';
import { TrialsFile } from '../trials/TrialsFile';
import { TrialsShell } from '../trials/TrialsShell';
import { useTrials } from '../trials/useTrials';
import { ApproachSpeeds } from './ApproachSpeeds';
import { ApproachFor } from './ApproachFor';
import styles from '../Bench.module.css';
import { StopEntry } from './StopEntry';
import { StopRanks } from './StopRanks';
import { STOP_TRIAL } from '../../../core/trials/stop';
import { StopTable } from './StopTable';

interface Props extends BenchProps {
  trials: StopTrials;
  /** All lists of stops of this robot. */
  lists: TrialListEntry[];
  /** How its distance sensor was measured to read, if it was. */
  measured: RangeCalibration | null;
}

const STEPS = [
  'Let the robot drive and stop: at a gap from a wall, at a line, when it touches, after a distance.',
  'Measure where it stands: its gap to the wall, or how far past its mark.',
  'Three stops each from two speeds, one twice the other: that tells its lag from its braking.',
  CARE_AT_THE_BENCH,
];
const REASONS = ['It touched the wall', 'A wheel slipped', 'Typed by mistake'];
const CURVE_POINTS = 24;

/** Stops: how far it drives on after its threshold, and which threshold a wanted gap takes. */
export default function Station({ robot, trials: loaded, lists, measured }: Props) {
  const kept = useTrials(loaded);
  const { record, setConditions, add, replace } = kept;
  const { by, readToM } = record.conditions;
  const all = useMemo(() => notAside(record.trials), [record]);
  const used = useMemo(() => all.filter((trial) => trial.by === by), [all, by]);
  const ranked = useMemo(() => rankStops(all), [all]);
  const study = useMemo(() => stopStudy(used, by, readToM), [used, by, readToM]);
  const value =
    study === null || by !== 'distance' ? null : calibrationFromStops(study.model, used);
  const reads = useMemo(() => readsOf(robot.robot, measured), [robot, measured]);
  const fastest = Math.max(0, ...used.map(({ speedMPerS }) => speedMPerS));
  const perM = benchScale().perM;
  return (
    <TrialsShell<StopTrials>
      {...{ robot, kept, lists }}
      sentences={rankSentences(ranked) ?? study?.sentences ?? null}
      what="stop"
      reasons={REASONS}
      caution="A stop that was far off by itself is no reason."
      opening={
        <>
          Let the robot stop before a wall, from two speeds: how far it drives on tells its lag and
          its braking, and the threshold for any gap follows. {counted(used.length, 'stop')} so far.
        </>
      }
      see={
        study !== null && (
          <Frame
            title={`By ${STOPS_BY[by].title}: drives on past its mark, against the speed`}
            sentence="Each mark is one stop."
            legend="◆ a stop   — lag and braking as fitted"
          >
            <Plot
              label={`How far it drives on, against the speed. ${study.sentences.found}`}
              xTitle={`speed, ${benchScale().label}/s`}
              yTitle={`drives on, ${errorScale().label}`}
              yFromZero
              curves={[
                {
                  label: 'as fitted',
                  points: Array.from({ length: CURVE_POINTS + 1 }, (_, i) => {
                    const speed = (fastest * i) / CURVE_POINTS;
                    return { x: speed * perM, y: errorFigure(study.model.overrunM(speed)) };
                  }),
                  tone: 'predicted',
                  look: 'line',
                },
                {
                  label: 'stops',
                  points: used.map(({ speedMPerS, thresholdM, stopM }) => ({
                    x: speedMPerS * perM,
                    y: errorFigure(thresholdM - stopM),
                  })),
                  tone: 'measured',
                  look: 'points',
                  shape: 'rectRot',
                },
              ]}
            />
          </Frame>
        )
      }
      steps={STEPS}
      doing={
        <>
          <ChoiceField
            field={STOP_LIST.by}
            value={by}
            onChange={(chosen) => setConditions({ by: chosen })}
          />
          <div className={styles.fields}>
            <ReadTo value={readToM} onChange={(step) => setConditions({ readToM: step })} />
          </div>
          <StopEntry key={by} by={by} robot={robot.robot} reads={reads} onTrial={add} />
          <TrialsFile label="Stops (CSV)" kind={STOP_TRIAL} onTake={(stops) => add(...stops)} />
        </>
      }
      know={
        <>
          {ranked.length > 1 && <StopRanks ranked={ranked} />}
          {study !== null && by === 'distance' && (
            <>
              <ApproachFor
                model={study.model}
                reads={reads}
                isMeasured={measured !== null}
                conditions={record.conditions}
                onChange={setConditions}
              />
              <ApproachSpeeds
                robot={robot.robot}
                model={study.model}
                reads={reads}
                conditions={record.conditions}
                onChange={setConditions}
              />
            </>
          )}
        </>
      }
      apply={{
        value,
        evidence: used,
        label: 'Apply these stops…',
        applied: 'This holds from now on.',
        consequences: () =>
          value !== null && (
            <p>
              The Course plans and simulates approaches from now on with a robot that{' '}
              {describeCalibration(value)}.
            </p>
          ),
      }}
      asks={['surface', 'battery', 'who']}
      table={(ask) => (
        <StopTable
          trials={record.trials}
          onSetAside={ask}
          onTakeBack={(stop) => replace({ ...stop, setAsideReason: null })}
        />
      )}
    />
  );
}
