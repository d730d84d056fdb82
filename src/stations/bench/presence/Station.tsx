import { useMemo } from 'react';
import { calibrationFromPresence } from '../../../core/calibration/kinds/presence/fromStudy';
import { CARE_AT_THE_BENCH } from '../../../core/course/care';
import { MOST_LETTERS } from '../../../core/description/description';
import { presenceStudy, type PresenceStudy } from '../../../core/presence/presenceStudy';
import { thereText } from '../../../core/presence/presenceWords';
import { counted } from '../../../core/text/quantities';
import { PRESENCE_LIST } from '../../../core/trials/lists/presence';
import { PRESENCE_TRIAL } from '../../../core/trials/presence';
import type { PresenceTrials, TrialListEntry } from '../../../formats/benchRecords';
import { Notice } from '../../../ui/Notice';
import { TextField } from '../../../ui/fields/TextField';
import { ValueField } from '../../../ui/fields/ValueField';
import styles from '../Bench.module.css';
import { PartedChart } from '../PartedChart';
import type { BenchProps } from '../procedure';
import { notAside } from '../trials/openedList';
import { DescribedTable } from '../trials/DescribedTable';
import { TrialsFile } from '../trials/TrialsFile';
import { TrialsShell } from '../trials/TrialsShell';
import { useTrials } from '../trials/useTrials';
import { PresenceEntry } from './PresenceEntry';

interface Props extends BenchProps {
  trials: PresenceTrials;
  lists: TrialListEntry[];
}

const STEPS = [
  'Put what is to be noticed where it will stand in a run, and read ten times; move it about a little.',
  'Take it away, and read ten times what the sensor sees then.',
  CARE_AT_THE_BENCH,
];
const REASONS = ['A hand was in the way', 'Typed by mistake'];
const COUNTS = ['passes', 'caught', 'absentPasses', 'falseAlarms'] as const;

/** The readings in their order, and what parts them. */
function PresenceChart({
  study,
  readings,
}: {
  study: PresenceStudy;
  readings: readonly PresenceTrials['trials'][number][];
}) {
  const { found, sentences } = study;
  if (found === null || found.threshold === null) return null;
  return (
    <PartedChart
      title="With something there, and without"
      found={sentences.found}
      readings={readings.map(({ there, reading }) => ({
        value: reading,
        isFirst: there === 'yes',
      }))}
      first="something there"
      second="nothing"
      threshold={found.threshold}
      band={[found.enter, found.leave]}
    />
  );
}

/** Whether something is there, by any reading: threshold, misses, false alarms; or passes that were counted. */
export default function Station({ robot, trials: loaded, lists }: Props) {
  const kept = useTrials(loaded);
  const { record, add, replace, setConditions } = kept;
  const { conditions } = record;
  const { by, target } = conditions;
  const used = useMemo(() => notAside(record.trials), [record]);
  const study = useMemo(() => presenceStudy(used, conditions), [used, conditions]);
  const found = study?.found ?? null;
  const isMiscounted =
    (conditions.caught ?? 0) > (conditions.passes ?? Infinity) ||
    (conditions.falseAlarms ?? 0) > (conditions.absentPasses ?? Infinity);
  const labels = robot.robot.units.map(({ label }) => label);
  return (
    <TrialsShell<PresenceTrials>
      {...{ robot, kept, lists }}
      sentences={study?.sentences ?? null}
      what="reading"
      reasons={REASONS}
      caution="A reading that is far off by itself is no reason: the next one may be, too."
      opening={
        <>
          Ten readings with something there and ten without: from which reading on it is there, and
          how often that is missed. {counted(used.length, 'reading')} so far.
        </>
      }
      see={study !== null && <PresenceChart study={study} readings={used} />}
      steps={STEPS}
      doing={
        <>
          <PresenceEntry
            {...{ robot, by }}
            trials={used}
            onReadings={(readings) => add(...readings)}
          />
          <div className={styles.fields}>
            <TextField
              label={PRESENCE_LIST.by.label}
              maxLength={MOST_LETTERS}
              value={by}
              suggestions={labels}
              onChange={(text) => setConditions({ by: text })}
            />
            <TextField
              label={PRESENCE_LIST.target.label}
              maxLength={MOST_LETTERS}
              value={target}
              onChange={(text) => setConditions({ target: text })}
            />
          </div>
          <details>
            <summary>Counted passes, where nothing is logged</summary>
            <div className={styles.fields}>
              {COUNTS.map((key) => (
                <ValueField
                  key={key}
                  field={PRESENCE_LIST[key]}
                  value={conditions[key]}
                  onChange={(n) => setConditions({ [key]: n })}
                  onClear={() => setConditions({ [key]: null })}
                />
              ))}
            </div>
            {isMiscounted && (
              <Notice tone="fault">
                More were noticed than passes were made: mend one of the counts.
              </Notice>
            )}
          </details>
          <TrialsFile
            label="Readings with and without (CSV)"
            kind={PRESENCE_TRIAL}
            onTake={(readings) => add(...readings)}
          />
        </>
      }
      asks={['battery', 'who']}
      table={(ask) => (
        <DescribedTable
          label="Readings"
          kind={PRESENCE_TRIAL}
          trials={record.trials}
          {...{ ask, replace }}
        />
      )}
      apply={{
        value:
          found &&
          calibrationFromPresence(found, {
            by,
            target,
            n: used.length,
            lostBelowV: study?.lostBelowV ?? null,
          }),
        evidence: used,
        label: 'Apply this…',
        applied: 'This holds from now on.',
        consequences: () =>
          found !== null && (
            <p>
              Kept with the robot, with its day and what it rests on: it is there when {by}{' '}
              {thereText(found)}. Type it into the program.
            </p>
          ),
      }}
    />
  );
}
