import { calibrationOf } from '../../../core/calibration/find';
import { STRAIGHT_LIST } from '../../../core/trials/lists/driving';
import { ChoiceField } from '../../../ui/fields/ChoiceField';
import { CARE_AT_THE_BENCH } from '../../../core/course/care';
import { roundLength } from '../../../core/text/lengths';
import { useMemo, useState } from 'react';
import { straightGroups } from '../../../core/drive/straightGroups';
import { straightStudy } from '../../../core/drive/straightStudy';
import { counted, errorLength, benchLength } from '../../../core/text/quantities';
import type {
  SavedCalibration,
  StraightTrials,
  TrialListEntry,
} from '../../../formats/benchRecords';
import { Choice } from '../../../ui/fields/Choice';
import { notAside } from '../trials/openedList';
import type { BenchProps } from '../procedure';
import styles from '../Bench.module.css';
import { ReadTo } from '../trials/ReadTo';
import { trialColumns } from '../trials/trialColumns';
import { FoldedTable } from '../trials/TrialParts';
import { TrialsFile } from '../trials/TrialsFile';
import { STRAIGHT_TRIAL } from '../../../core/trials/straight';
import { TrialsShell } from '../trials/TrialsShell';
import { useTrials } from '../trials/useTrials';
import { ConfirmDrives } from './ConfirmDrives';
import { MeasuredWays } from './MeasuredWays';
import { StraightChart } from './StraightChart';
import { StraightEntry } from './StraightEntry';
import { StraightFigures } from './StraightFigures';

interface Props extends BenchProps {
  trials: StraightTrials;
  /** All lists of drives of this robot. */
  lists: TrialListEntry[];
}

const steps = () => [
  'Lay a tape along the floor, and place the robot at its zero, along the tape.',
  'Let it drive a distance, stop, and read where it stands: along the tape, how far beside it, how far it turned.',
  `Three drives of ${benchLength(roundLength(0.5))}, three of ${benchLength(roundLength(1))} and more: two distances tell the wheels from the coasting.`,
  CARE_AT_THE_BENCH,
];

const REASONS = ['It ran into something', 'Not placed along the tape', 'Typed by mistake'];

/** Straight drives: how far the robot truly goes, and where to the side. */
export default function Station({ robot, trials: loaded, lists }: Props) {
  const kept = useTrials(loaded);
  const { record, setConditions, add, replace } = kept;
  const { keep, readToM } = record.conditions;
  const used = useMemo(() => notAside(record.trials), [record]);
  const groups = useMemo(
    () =>
      straightGroups(
        used.map((one) => ({ ...one, keptBy: one.keptBy ?? keep })),
        readToM,
      ),
    [used, keep, readToM],
  );
  const [wished, setWished] = useState<string | null>(null);
  const [applied, setApplied] = useState<SavedCalibration | null>(null);
  const straight = calibrationOf(applied === null ? [] : [applied.value], 'straight');
  const shown = groups.find(({ name }) => name === wished) ?? groups[0];
  const judged = useMemo(() => shown?.trials ?? [], [shown]);
  const study = useMemo(() => straightStudy(judged, readToM), [judged, readToM]);
  const { wheelDiameterM } = robot.robot;
  const value = study?.value ?? null;
  return (
    <TrialsShell<StraightTrials>
      {...{ robot, kept, lists }}
      sentences={study?.sentences ?? null}
      what="drive"
      reasons={REASONS}
      caution="A drive that ended far off by itself is no reason."
      opening={
        <>
          Let the robot drive straight along a tape: how far it truly goes tells how large its
          wheels are, and where it ends to the side whether it sets off askew or pulls.{' '}
          {counted(used.length, 'drive')} so far.
        </>
      }
      see={
        used.length > 0 && (
          <>
            {groups.length > 1 && (
              <>
                <MeasuredWays groups={groups} />
                <Choice
                  label="Judged above"
                  value={shown?.name ?? ''}
                  options={groups.map(({ name }) => ({ value: name, label: name }))}
                  onChange={setWished}
                />
              </>
            )}
            <div className={styles.two}>
              <StraightChart
                trials={judged}
                model={study?.model ?? null}
                sentence={study?.sentences.found ?? 'Two drives at least are needed.'}
              />
              {study !== null && <StraightFigures model={study.model} />}
            </div>
          </>
        )
      }
      steps={steps()}
      doing={
        <>
          <div className={styles.fields}>
            <ChoiceField
              field={STRAIGHT_LIST.keep}
              value={keep}
              onChange={(next) => setConditions({ keep: next })}
            />
            <ReadTo value={readToM} onChange={(step) => setConditions({ readToM: step })} />
          </div>
          <StraightEntry robot={robot.robot} keep={keep} onTrial={add} />
          <TrialsFile
            label="Straight drives (CSV)"
            kind={STRAIGHT_TRIAL}
            onTake={(drives) => add(...drives)}
          />
        </>
      }
      table={(ask) => (
        <FoldedTable
          label="Drives"
          what="drive"
          columns={trialColumns(STRAIGHT_TRIAL)}
          trials={record.trials}
          onSetAside={ask}
          onTakeBack={(drive) => replace({ ...drive, setAsideReason: null })}
        />
      )}
      apply={{
        value,
        evidence: judged,
        label: 'Apply this wheel size…',
        applied: 'This wheel size holds from now on.',
        consequences: () =>
          value !== null && (
            <p>
              The Course computes from now on with wheels of{' '}
              {errorLength(wheelDiameterM * value.scaleFactor, 2)} instead of{' '}
              {errorLength(wheelDiameterM, 2)}: the motors are told so much more or less for the
              same distance.
            </p>
          ),
        onApplied: setApplied,
      }}
      confirm={(tell) =>
        applied !== null &&
        straight !== null && (
          <ConfirmDrives
            calibration={applied}
            straight={straight}
            speedMPerS={judged.at(-1)?.speedMPerS ?? 0.3}
            onTold={tell}
          />
        )
      }
      asks={['surface', 'battery', 'who']}
    />
  );
}
