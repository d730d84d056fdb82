import { useMemo, useState } from 'react';
import type { MissionTolerance } from '../../../core/ranging/missionTolerance';
import { rangeStudy } from '../../../core/ranging/rangeStudy';
import { counted, errorLength, number } from '../../../core/text/quantities';
import { unitsOf } from '../../../core/units/ofRobot';
import type { RangeTrials, TrialListEntry } from '../../../formats/benchRecords';
import { Button } from '../../../ui/Button';
import { NumberField } from '../../../ui/NumberField';
import { SMALL_LENGTH } from '../../../ui/units';
import { notAside } from '../openedList';
import type { BenchProps } from '../procedure';
import styles from '../Bench.module.css';
import { TrialsFile } from '../TrialsFile';
import { TrialsShell } from '../TrialsShell';
import { useTrials } from '../useTrials';
import { LostByVolts } from './LostByVolts';
import { RangeEntry } from './RangeEntry';
import { RangeChart, RangeUnits } from './RangeFigures';
import { RangeTable } from './RangeTable';

interface Props extends BenchProps {
  trials: RangeTrials;
  /** All benches of this robot. */
  lists: TrialListEntry[];
  /** What the missions ask of it that its routes work by distance; null: none does. */
  ofMissions: MissionTolerance | null;
}

const STEPS = [
  'Lay a tape from the sensor’s face to something flat and upright.',
  'Six readings at each distance, near and far: the next distance comes by itself.',
  'Other units of the team in the same table: give each its label. All at one distance tells which differs.',
];

const REASONS = ['Something stood in between', 'The tape had moved', 'Typed by mistake'];

/** Distance sensors against a tape: offset, scale, scatter, lost echoes, and which are out of tolerance. */
export default function Station({ robot, trials: loaded, lists, ofMissions }: Props) {
  const kept = useTrials(loaded);
  const { record, setConditions, add, replace } = kept;
  const pluggedIn = useMemo(
    () => unitsOf(robot.robot, 'distance sensor').map(({ label }) => label),
    [robot],
  );
  const inUse = pluggedIn[0] ?? '';
  const [unit, setUnit] = useState(inUse);
  const used = useMemo(() => notAside(record.trials), [record]);
  const { toleranceM } = record.conditions;
  const study = useMemo(
    () => rangeStudy(used, inUse, toleranceM, pluggedIn),
    [used, inUse, toleranceM, pluggedIn],
  );
  const value = study?.value ?? null;
  return (
    <TrialsShell<RangeTrials>
      {...{ robot, kept, lists }}
      sentences={study?.sentences ?? null}
      what="reading"
      reasons={REASONS}
      caution="A reading that is far off by itself is no reason."
      opening={
        <>
          Hold the robot before something flat at known distances, and note what it reads: that
          tells its offset, its scale, and how far to trust it. {counted(used.length, 'reading')} so
          far.
        </>
      }
      see={
        study !== null && (
          <>
            <RangeChart found={study.found} sentence={study.sentences?.found ?? ''} />
            <RangeUnits units={study.found.units} />
          </>
        )
      }
      steps={STEPS}
      doing={
        <>
          <RangeEntry
            {...{ robot, unit }}
            trials={used}
            onUnit={setUnit}
            onReadings={(readings) => add(...readings)}
          />
          <div className={styles.fields}>
            <NumberField
              label="Tolerance"
              unit={SMALL_LENGTH}
              min={0.5}
              max={1000}
              value={toleranceM}
              onChange={(next) => setConditions({ toleranceM: next })}
            />
          </div>
          {ofMissions !== null && (
            <p className="faint" data-testid="of-missions">
              “{ofMissions.mission}” of {ofMissions.route} is worked by distance and allows{' '}
              {errorLength(ofMissions.toleranceM)} of the sensor: half of its window.{' '}
              {ofMissions.toleranceM !== toleranceM && (
                <Button
                  look="bare"
                  onClick={() => setConditions({ toleranceM: ofMissions.toleranceM })}
                >
                  Take {errorLength(ofMissions.toleranceM)}
                </Button>
              )}
            </p>
          )}
          <p>
            <a href={`/bench/range/sheet?robot=${robot.id}`}>An empty table to print</a>
          </p>
          <TrialsFile
            label="Readings (CSV)"
            what="reading"
            columns="unit, tape_cm and reading_cm (empty: the echo was lost)"
            read={async (file, newId) =>
              (await import('../../../formats/trialsCsv')).readRanges(file, newId)
            }
            onTake={(readings) => add(...readings)}
          />
          <LostByVolts robot={robot} />
        </>
      }
      table={(ask) => (
        <RangeTable
          trials={record.trials}
          onSetAside={ask}
          onTakeBack={(reading) => replace({ ...reading, setAsideReason: null })}
        />
      )}
      apply={{
        value,
        evidence: used.filter((one) => one.unit === inUse),
        label: `Apply this to ${inUse}…`,
        applied: 'This holds from now on.',
        consequences: () =>
          value !== null && (
            <p>
              The Course computes from now on with a distance sensor that reads{' '}
              {errorLength(Math.abs(value.offsetM), 1)} too {value.offsetM < 0 ? 'short' : 'long'},
              × {number(value.scaleFactor, 3)}: it stops as far from the wall as the real one does.
            </p>
          ),
      }}
    />
  );
}
