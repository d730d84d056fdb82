import { useMemo } from 'react';
import type { RangeCalibration } from '../../../core/calibration/kinds/range/schema';
import { readsOf, stopStudy } from '../../../core/ranging/stopStudy';
import { benchScale, errorFigure, errorScale } from '../../../core/text/lengths';
import { counted } from '../../../core/text/quantities';
import type { StopTrials, TrialListEntry } from '../../../formats/benchRecords';
import { Plot } from '../../../ui/chart/Plot';
import { Frame } from '../../../ui/Frame';
import { notAside } from '../openedList';
import type { BenchProps } from '../procedure';
import { TrialsFile } from '../TrialsFile';
import { TrialsShell } from '../TrialsShell';
import { useTrials } from '../useTrials';
import { ApproachSpeeds } from './ApproachSpeeds';
import { ApproachFor } from './ApproachFor';
import { StopEntry } from './StopEntry';
import { StopTable } from './StopTable';

interface Props extends BenchProps {
  trials: StopTrials;
  /** All lists of stops of this robot. */
  lists: TrialListEntry[];
  /** How its distance sensor was measured to read, if it was. */
  measured: RangeCalibration | null;
}

const STEPS = [
  'Let the robot drive at a wall and stop when its distance sensor says so: note the gap at which it was told to.',
  'Measure the gap where it stands, from its bumper to the wall.',
  'Three stops each from two speeds, one twice the other: that tells its lag from its braking.',
];
const REASONS = ['It touched the wall', 'A wheel slipped', 'Typed by mistake'];
const CURVE_POINTS = 24;

/** Stops: how far it drives on after its threshold, and which threshold a wanted gap takes. */
export default function Station({ robot, trials: loaded, lists, measured }: Props) {
  const kept = useTrials(loaded);
  const { record, setConditions, add, replace } = kept;
  const used = useMemo(() => notAside(record.trials), [record]);
  const study = useMemo(() => stopStudy(used), [used]);
  const reads = useMemo(() => readsOf(robot.robot, measured), [robot, measured]);
  const fastest = Math.max(0, ...used.map(({ speedMPerS }) => speedMPerS));
  const perM = benchScale().perM;
  return (
    <TrialsShell<StopTrials>
      {...{ robot, kept, lists }}
      sentences={study?.sentences ?? null}
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
            title="Drives on after its threshold, against the speed"
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
          <StopEntry robot={robot.robot} reads={reads} onTrial={add} />
          <TrialsFile
            label="Stops (CSV)"
            what="stop"
            columns="speed_mm_per_s, threshold_cm, true_gap_cm (from the bumper to the wall)"
            read={async (file, newId) =>
              (await import('../../../formats/trialsCsv')).readStops(file, newId)
            }
            onTake={(stops) => add(...stops)}
          />
        </>
      }
      know={
        study !== null && (
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
        )
      }
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
