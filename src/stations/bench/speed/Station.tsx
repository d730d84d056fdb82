import { CARE_AT_THE_BENCH } from '../../../core/course/care';
import { roundLength } from '../../../core/text/lengths';
import { commandsPower } from '../../../core/program/commands';
import { useMemo } from 'react';
import { speedOf, tellsTopSpeed } from '../../../core/program/speedOf';
import { drivenMPerS } from '../../../core/drive/speedTable';
import { speedStudy } from '../../../core/drive/speedStudy';
import { benchLength, benchSpeed, counted, number, percent } from '../../../core/text/quantities';
import type { SpeedTrials, TrialListEntry } from '../../../formats/benchRecords';
import { SPEED_TRIAL } from '../../../core/trials/speed';
import { notAside } from '../trials/openedList';
import type { BenchProps } from '../procedure';
import { FoldedTable } from '../trials/TrialParts';
import { trialColumns } from '../trials/trialColumns';
import { TrialsFile } from '../trials/TrialsFile';
import { TrialsShell } from '../trials/TrialsShell';
import { useTrials } from '../trials/useTrials';
import { SpeedEntry } from './SpeedEntry';
import { SpeedChart, SpeedTableShown } from './SpeedFigures';

interface Props extends BenchProps {
  trials: SpeedTrials;
  lists: TrialListEntry[];
}

const steps = () => [
  `Put two marks on the floor, ${benchLength(roundLength(1))} apart, and let the robot drive over both: it has its speed by then.`,
  'Time it from mark to mark, with the battery’s voltage as the robot shows it.',
  'A weak power and a strong one tell most; a power at which it does not move is a trial, too.',
  CARE_AT_THE_BENCH,
];
const REASONS = ['It did not drive straight', 'The watch was late', 'Typed by mistake'];

/** Timed drives: how fast a share of power drives at which voltage, and below which the robot stands. */
export default function Station({ robot, trials: loaded, lists }: Props) {
  const kept = useTrials(loaded);
  const { record, add, replace } = kept;
  const used = useMemo(() => notAside(record.trials), [record]);
  const study = useMemo(() => speedStudy(used), [used]);
  return (
    <TrialsShell<SpeedTrials>
      {...{ robot, kept, lists }}
      sentences={study?.sentences ?? null}
      what="drive"
      reasons={REASONS}
      caution="A drive that was slow by itself is no reason."
      opening={
        <>
          Time three drives, at a weak and at a strong power: how fast each percentage drives, at
          which voltage, and below which it stands. {counted(used.length, 'drive')} so far.
        </>
      }
      see={study !== null && <SpeedChart study={study} trials={used} />}
      steps={steps()}
      doing={
        <>
          <SpeedEntry onTrial={add} />
          <TrialsFile
            label="Timed drives (CSV)"
            kind={SPEED_TRIAL}
            onTake={(drives) => add(...drives)}
          />
        </>
      }
      know={study !== null && <SpeedTableShown {...study} />}
      asks={['surface', 'who']}
      table={(ask) => (
        <FoldedTable
          label="Timed drives"
          what="drive"
          trials={record.trials}
          onSetAside={ask}
          onTakeBack={(drive) => replace({ ...drive, setAsideReason: null })}
          columns={[
            ...trialColumns(SPEED_TRIAL),
            {
              title: 'Speed',
              number: true,
              sortBy: ({ trial }) => drivenMPerS(trial),
              cell: ({ trial }) => benchSpeed(drivenMPerS(trial)),
            },
          ]}
        />
      )}
      apply={{
        value: study?.value ?? null,
        evidence: used,
        label: 'Apply this…',
        applied: 'This holds from now on.',
        consequences: () =>
          study !== null && (
            <p>
              Steps whose program counts in percent are told the percentage for their speed at{' '}
              {number(study.batteryV, 1)} V.{' '}
              {tellsTopSpeed(study.value)
                ? `The Course computes with a robot that drives ${benchSpeed(speedOf(study.value, 1, study.batteryV))} at most.`
                : `How fast it drives at most was not timed (${percent(study.value.highestCommand)} was the strongest): that stays as the record says.`}
              {commandsPower(robot.robot.program.command) &&
                ` Its programs give a share of power, so it is simulated on batteries that are fuller and emptier than that, and drives faster and slower with them.`}
            </p>
          ),
      }}
    />
  );
}
