import { useMemo, useState } from 'react';
import { calibrationFromPlacing } from '../../../core/calibration/kinds/placing/fromStudy';
import { lastGroup, placing, poseOnGrid, type PlacingGroup } from '../../../core/placing/placing';
import { placingSentences } from '../../../core/placing/placingStudy';
import { counted, fineLength } from '../../../core/text/quantities';
import type { PlacingTrials, TrialListEntry } from '../../../formats/benchRecords';
import { Choice } from '../../../ui/fields/Choice';
import { Notice } from '../../../ui/Notice';
import { PLACING_TRIAL } from '../../../core/trials/placing';
import { notAside } from '../trials/openedList';
import type { BenchProps } from '../procedure';
import { DescribedTable } from '../trials/DescribedTable';
import { TrialsFile } from '../trials/TrialsFile';
import { TrialsShell } from '../trials/TrialsShell';
import { useTrials } from '../trials/useTrials';
import { PlacingEntry } from './PlacingEntry';
import { PlacingChart, PlacingTable } from './PlacingFigures';
import { PlacingMarks } from './PlacingMarks';

interface Props extends BenchProps {
  trials: PlacingTrials;
  lists: TrialListEntry[];
}

const STEPS = [
  'Lay squared paper where the robot starts, its lines along the way it drives off; mark nose and tail of the robot.',
  'Whoever places it in matches places it as always, lets go, and reads: how far along the nose stands, and how far across nose and tail do.',
  'Lift it off and walk one step away. Ten times; then ten times with the jig, or by another person.',
];
const REASONS = ['The paper had moved', 'It was touched before it was read', 'Typed by mistake'];
const called = ({ person, way }: PlacingGroup) => `${person}, ${way}`;

/** Placing the robot as for a run: how exactly it is done, by whom, and where the jig truly aims. */
export default function Station({ robot, trials: loaded, lists }: Props) {
  const kept = useTrials(loaded);
  const { record, add, replace } = kept;
  const { planned, noseToTailM, noseToAxleM } = record.conditions;
  const marks = useMemo(() => ({ noseToTailM, noseToAxleM }), [noseToTailM, noseToAxleM]);
  const used = useMemo(() => notAside(record.trials), [record]);
  const groups = useMemo(() => placing(used, marks, planned), [used, marks, planned]);
  const [wished, setWished] = useState<string | null>(null);
  const group = groups.find((one) => called(one) === wished) ?? lastGroup(used, groups);
  const odd = used.find((trial) => poseOnGrid(trial, marks) === null);
  const hasPlan = planned !== null;
  const value = group === null ? null : calibrationFromPlacing(group, hasPlan);
  return (
    <TrialsShell<PlacingTrials>
      {...{ robot, kept, lists }}
      sentences={group === null ? null : placingSentences(group, groups, hasPlan)}
      what="placing"
      reasons={REASONS}
      caution="A placing that came out badly by itself is no reason: it will in a match, too."
      opening={
        <>
          Place the robot ten times as for a run: what these hands differ by is the first error of
          every run. {counted(used.length, 'placing')} so far.
        </>
      }
      see={
        <>
          {odd !== undefined && (
            <Notice tone="fault">
              Placing {record.trials.indexOf(odd) + 1}: nose and tail are further apart across than
              on the robot ({fineLength(noseToTailM)}). It is left out until it is mended: set it
              aside, or correct “Nose to tail”.
            </Notice>
          )}
          {groups.length > 1 && group !== null && (
            <Choice
              label="Whose placings are told and applied"
              value={called(group)}
              options={groups.map((one) => ({ value: called(one), label: called(one) }))}
              onChange={setWished}
            />
          )}
          {groups.length > 0 && <PlacingChart groups={groups} />}
        </>
      }
      steps={STEPS}
      doing={
        <>
          <PlacingEntry
            marks={marks}
            persons={[...new Set(record.trials.map(({ person }) => person))]}
            last={record.trials.at(-1)}
            onTrial={add}
          />
          <PlacingMarks conditions={record.conditions} onChange={kept.setConditions} />
          <TrialsFile
            label="Placings (CSV)"
            kind={PLACING_TRIAL}
            onTake={(placings) => add(...placings)}
          />
        </>
      }
      know={groups.length > 0 && <PlacingTable groups={groups} hasPlan={hasPlan} />}
      apply={{
        value,
        evidence: used.filter(({ person, way }) => person === group?.person && way === group.way),
        label: group === null ? 'Apply it…' : `Apply ${called(group)}…`,
        applied: 'This holds from now on: the Course offers it to its routes.',
        consequences: () => (
          <p>
            New routes are placed to these figures, and the Course offers them to those that are
            there.{' '}
            {hasPlan
              ? 'Runs are simulated from where it truly stands on average.'
              : 'Where the jig aims stays a guess: it was not told where the robot should stand.'}
          </p>
        ),
      }}
      asks={['who']}
      table={(ask) => (
        <DescribedTable
          label="Placings"
          kind={PLACING_TRIAL}
          trials={record.trials}
          {...{ ask, replace }}
        />
      )}
    />
  );
}
