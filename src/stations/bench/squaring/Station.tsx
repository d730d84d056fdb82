import { CARE_AT_THE_BENCH } from '../../../core/course/care';
import { useMemo } from 'react';
import { benchSpeed, counted, degrees, number } from '../../../core/text/quantities';
import { calibrationFromSquaring } from '../../../core/calibration/kinds/squaring/fromStudy';
import type { Robot } from '../../../core/robot/robot';
import { squaringStudy } from '../../../core/walls/squaringStudy';
import type { SquaringTrials, TrialListEntry } from '../../../formats/benchRecords';
import { SQUARING_TRIAL } from '../../../core/trials/squaring';
import { notAside } from '../trials/openedList';
import type { BenchProps } from '../procedure';
import { DescribedTable } from '../trials/DescribedTable';
import { TrialsFile } from '../trials/TrialsFile';
import { TrialsShell } from '../trials/TrialsShell';
import { useTrials } from '../trials/useTrials';
import { SquaringEntry } from './SquaringEntry';
import { SquaringChart, SquaringTable } from './SquaringFigures';

interface Props extends BenchProps {
  trials: SquaringTrials;
  lists: TrialListEntry[];
  /** The robot as it was measured: how fast a power drives. */
  fitted: Robot;
}

const STEPS = [
  'Set the robot before a straight wall, a few degrees off: read off how far, by its own heading or a protractor.',
  'Let it press against the wall with a power, for a time, and read off how far it is off then.',
  'Short times tell most: after a long one there is nothing left to see. Two powers, three presses each.',
  CARE_AT_THE_BENCH,
];
const REASONS = ['It did not reach the wall', 'It slipped along the wall', 'Typed by mistake'];

/** Pressing against a wall: which power and time to use, and how far off the robot stays. */
export default function Station({ robot, trials: loaded, lists, fitted }: Props) {
  const kept = useTrials(loaded);
  const { record, add, replace } = kept;
  const used = useMemo(() => notAside(record.trials), [record]);
  const study = useMemo(() => squaringStudy(used), [used]);
  const value = study === null ? null : calibrationFromSquaring(study, fitted);
  return (
    <TrialsShell<SquaringTrials>
      {...{ robot, kept, lists }}
      sentences={study?.sentences ?? null}
      what="trial"
      reasons={REASONS}
      caution="A press that left much over by itself is no reason."
      opening={
        <>
          Press the robot against a wall, a few degrees off: how hard and how long it has to press,
          and how far off it stays, follow from three presses with one power.{' '}
          {counted(used.length, 'press', 'presses')} so far.
        </>
      }
      see={study !== null && <SquaringChart study={study} trials={used} />}
      steps={STEPS}
      doing={
        <>
          <SquaringEntry onTrial={add} />
          <TrialsFile
            label="Presses (CSV)"
            kind={SQUARING_TRIAL}
            onTake={(presses) => add(...presses)}
          />
        </>
      }
      know={study !== null && <SquaringTable {...study.found} />}
      apply={{
        value,
        evidence: used,
        label: 'Apply this press…',
        applied: 'This holds from now on.',
        consequences: () =>
          value !== null && (
            <p>
              A step that squares up is added with {benchSpeed(value.speedMPerS)} and{' '}
              {number(value.pressS, 1)} s from now on, and the Course simulates that headings
              scatter by {degrees(value.headingSdRad, 2)} after it.
            </p>
          ),
      }}
      asks={['surface', 'battery', 'who']}
      table={(ask) => (
        <DescribedTable
          label="Presses"
          kind={SQUARING_TRIAL}
          trials={record.trials}
          {...{ ask, replace }}
        />
      )}
    />
  );
}
