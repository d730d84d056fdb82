import { RANGE_LIST } from '../../../core/trials/lists/distance';
import { RANGE_TRIAL } from '../../../core/trials/range';
import { useMemo, useState } from 'react';
import type { MissionTolerance } from '../../../core/ranging/missionTolerance';
import { describeCalibration } from '../../../core/calibration/registry';
import { mountedSensor } from '../../../core/ranging/mountAngle';
import type { RangePlace } from '../../../core/ranging/bestForPlaces';
import { rangeStudy } from '../../../core/ranging/rangeStudy';
import { voltStudy } from '../../../core/ranging/voltStudy';
import { counted, errorLength } from '../../../core/text/quantities';
import { MOST_LETTERS } from '../../../core/description/description';
import { devicesOf } from '../../../core/devices/ofRobot';
import type { RangeTrials, TrialListEntry } from '../../../formats/benchRecords';
import { Button } from '../../../ui/Button';
import { ChoiceField } from '../../../ui/fields/ChoiceField';
import { TextField } from '../../../ui/fields/TextField';
import { ValueField } from '../../../ui/fields/ValueField';
import { notAside } from '../trials/openedList';
import type { BenchProps } from '../procedure';
import styles from '../Bench.module.css';
import { TrialsFile } from '../trials/TrialsFile';
import { TrialsShell } from '../trials/TrialsShell';
import { useTrials } from '../trials/useTrials';
import { LostByVolts } from './LostByVolts';
import { MountCheck } from './MountCheck';
import { RangeEntry } from './RangeEntry';
import { BestDevices, RangeChart, RangeDevices } from './RangeFigures';
import { VoltFigures } from './VoltFigures';
import { RangeTable } from './RangeTable';

interface Props extends BenchProps {
  trials: RangeTrials;
  /** All benches of this robot. */
  lists: TrialListEntry[];
  /** What the missions ask of it that its routes work by distance; null: none does. */
  ofMissions: MissionTolerance | null;
  /** Where its routes stop by a distance. */
  places: RangePlace[];
}

const STEPS = [
  'Lay a tape from the sensor’s face to something flat and upright.',
  'Six readings at each distance, near and far: the next distance comes by itself.',
  'Other units of the team in the same table: give each its label. All at one distance tells which differs.',
];

const REASONS = ['Something stood in between', 'The tape had moved', 'Typed by mistake'];

/** Distance sensors against a tape: offset, scale, scatter, lost echoes, and which are out of tolerance. */
export default function Station({ robot, trials: loaded, lists, ofMissions, places }: Props) {
  const kept = useTrials(loaded);
  const { record, setConditions, add, replace } = kept;
  const sensors = useMemo(() => devicesOf(robot.robot, 'distance sensor'), [robot]);
  const pluggedIn = useMemo(() => sensors.map(({ label }) => label), [sensors]);
  const [first = ''] = pluggedIn;
  const [unit, setUnit] = useState(first);
  // Readings of units of the team that are not plugged in are compared with those of the first.
  const inUse = pluggedIn.includes(unit) ? unit : first;
  const used = useMemo(() => notAside(record.trials), [record]);
  const { toleranceM } = record.conditions;
  const { shows } = record.conditions;
  const [turnedRad, setTurnedRad] = useState(0);
  const facing = useMemo(() => used.filter((one) => one.turnedRad === 0), [used]);
  const own = useMemo(() => used.filter((one) => one.unit === unit), [used, unit]);
  const study = useMemo(
    () => (shows === 'volts' ? null : rangeStudy(facing, inUse, toleranceM, pluggedIn)),
    [facing, shows, inUse, toleranceM, pluggedIn],
  );
  const inVolts = useMemo(
    () => (shows === 'volts' ? voltStudy(own, unit) : null),
    [own, shows, unit],
  );
  const value = study?.value ?? (unit === inUse ? inVolts?.value : null) ?? null;
  return (
    <TrialsShell<RangeTrials>
      {...{ robot, kept, lists }}
      sentences={study?.sentences ?? inVolts?.sentences ?? null}
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
        <>
          {study !== null && (
            <>
              <RangeChart found={study.found} sentence={study.sentences?.found ?? ''} />
              <RangeDevices units={study.found.units} />
              <BestDevices units={study.found.units} places={places} />
            </>
          )}
          {inVolts !== null && <VoltFigures study={inVolts} readings={own} />}
        </>
      }
      steps={STEPS}
      doing={
        <>
          <ChoiceField
            field={RANGE_LIST.shows}
            value={shows}
            onChange={(chosen) => setConditions({ shows: chosen })}
          />
          <RangeEntry
            {...{ robot, unit, shows, turnedRad }}
            trials={facing}
            onUnit={setUnit}
            onReadings={(readings) => add(...readings)}
          />
          {shows === 'a length' && (
            <MountCheck
              {...{ unit, turnedRad }}
              trials={own}
              sensor={mountedSensor(robot.robot, unit, study?.value ?? null)}
              onTurned={setTurnedRad}
            />
          )}
          <div className={styles.fields}>
            <ValueField
              field={RANGE_LIST.toleranceM}
              value={toleranceM}
              onChange={(next) => setConditions({ toleranceM: next })}
            />
            <TextField
              label={RANGE_LIST.target.label}
              maxLength={MOST_LETTERS}
              value={record.conditions.target}
              onChange={(target) => setConditions({ target })}
            />
            <ValueField
              field={RANGE_LIST.batteryV}
              value={record.conditions.batteryV}
              onChange={(batteryV) => setConditions({ batteryV })}
              onClear={() => setConditions({ batteryV: null })}
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
            kind={RANGE_TRIAL}
            onTake={(readings) => add(...readings)}
          />
          <LostByVolts robot={robot} />
        </>
      }
      asks={['battery', 'who']}
      table={(ask) => (
        <RangeTable
          trials={record.trials}
          onSetAside={ask}
          onTakeBack={(reading) => replace({ ...reading, setAsideReason: null })}
        />
      )}
      apply={{
        value,
        evidence: facing.filter((one) => one.unit === inUse),
        unitId: sensors.find(({ label }) => label === inUse)?.id,
        label: `Apply this to ${inUse}…`,
        applied: 'This holds from now on.',
        consequences: () =>
          value !== null && (
            <p>
              The Course computes from now on with its distance sensor as measured (
              {describeCalibration(value)}): it stops as far from the wall as the real one does.
            </p>
          ),
      }}
    />
  );
}
