import { useMemo, useState } from 'react';
import { calibrationFromThreshold } from '../../../core/calibration/kinds/lightThreshold/fromStudy';
import { CARE_AT_THE_BENCH } from '../../../core/course/care';
import { devicesOf } from '../../../core/devices/ofRobot';
import { usualHeightM } from '../../../core/light/heights';
import { fullOf } from '../../../core/light/lightScale';
import { readingsOfDevice, thresholdStudy } from '../../../core/light/thresholdStudy';
import { lineText } from '../../../core/light/thresholdWords';
import { counted } from '../../../core/text/quantities';
import { LIGHT_TRIAL } from '../../../core/trials/light';
import type { LightTrials, TrialListEntry } from '../../../formats/benchRecords';
import { Notice } from '../../../ui/Notice';
import { Choice } from '../../../ui/fields/Choice';
import type { BenchProps } from '../procedure';
import { notAside } from '../trials/openedList';
import { DescribedTable } from '../trials/DescribedTable';
import { TrialsFile } from '../trials/TrialsFile';
import { TrialsShell } from '../trials/TrialsShell';
import { useTrials } from '../trials/useTrials';
import { FromRolling } from './FromRolling';
import { HeightTable, LightChart, SurfaceTable } from './LightFigures';
import { LightEntry } from './LightEntry';
import { Profiles } from './Profiles';
import type { Profile } from './profilesOf';
import { WhereAndHow } from './WhereAndHow';

interface Props extends BenchProps {
  trials: LightTrials;
  lists: TrialListEntry[];
  profiles: Profile[];
}

const STEPS = [
  'Hold the robot as it drives, its sensor over the line. Read five times, moving it a little; then five times over the floor beside it.',
  'The same at two more places of the table: where the lamp is near, where a shadow falls.',
  CARE_AT_THE_BENCH,
];
const REASONS = ['It lay half on the edge', 'A hand threw a shadow', 'Typed by mistake'];

/** Line and floor by their light: the threshold between them, how often it errs, and what holds at which venue. */
export default function Station({ robot, trials: loaded, lists, profiles: allProfiles }: Props) {
  const kept = useTrials(loaded);
  const { record, add, replace, setConditions } = kept;
  const { conditions } = record;
  const sensors = devicesOf(robot.robot, 'light sensor');
  const labels = sensors.map(({ label }) => label);
  const [unit, setUnit] = useState(labels[0] ?? '');
  const sensor = sensors.find(({ label }) => label === unit);
  const profiles = allProfiles.filter(({ unitId }) => unitId === (sensor?.id ?? null));
  const used = useMemo(() => readingsOfDevice(notAside(record.trials), unit), [record, unit]);
  const study = useMemo(
    () => thresholdStudy(used, conditions.programs, fullOf(conditions)),
    [used, conditions],
  );
  const { venue, lighting } = conditions;
  const where = { venue, lighting, full: fullOf(conditions), heightM: usualHeightM(used) };
  const value =
    study === null || sensor === undefined ? null : calibrationFromThreshold(study.found, where);
  return (
    <TrialsShell<LightTrials>
      {...{ robot, kept, lists }}
      sentences={study?.sentences ?? null}
      what="reading"
      reasons={REASONS}
      caution="A reading that is far off by itself is no reason: the next one may be, too."
      opening={
        <>
          Five readings over the line and five over the floor, at three places: between which
          numbers the line begins, and how often that is wrong. {counted(used.length, 'reading')} so
          far.
        </>
      }
      see={
        <>
          {labels.length === 0 && (
            <Notice tone="careful">
              {robot.name} has no light sensor plugged in: type what one reads, and{' '}
              <a href={`/robot?robot=${robot.id}`}>note it in the record</a>.
            </Notice>
          )}
          {labels.length > 1 && (
            <Choice
              label="Which sensor"
              value={unit}
              options={labels.map((label) => ({ value: label, label }))}
              onChange={setUnit}
            />
          )}
          {study !== null && <LightChart study={study} readings={used} />}
        </>
      }
      steps={STEPS}
      doing={
        <>
          <LightEntry
            key={unit}
            {...{ robot, unit, conditions }}
            trials={used}
            onReadings={(readings) => add(...readings)}
          />
          <WhereAndHow
            conditions={conditions}
            venues={profiles.map((one) => one.value.venue).filter((one) => one !== '')}
            onChange={setConditions}
          />
          <FromRolling {...{ robot, unit, conditions }} onReadings={(all) => add(...all)} />
          <TrialsFile
            label="Readings over line and floor (CSV)"
            kind={LIGHT_TRIAL}
            onTake={(readings) => add(...readings)}
          />
        </>
      }
      know={
        <>
          {study !== null && <SurfaceTable study={study} />}
          {study !== null && study.heights.length > 1 && (
            <HeightTable heights={study.heights} step={study.found.step} />
          )}
          {profiles.length > 0 && <Profiles {...{ robot, profiles }} now={study?.found ?? null} />}
        </>
      }
      asks={['battery', 'who']}
      table={(ask) => (
        <DescribedTable
          label="Readings"
          kind={LIGHT_TRIAL}
          trials={record.trials}
          {...{ ask, replace }}
        />
      )}
      apply={{
        value,
        evidence: used,
        unitId: sensor?.id,
        label: `Apply this${labels.length > 1 ? ` to ${unit}` : ''}${venue === '' ? '' : ` for ${venue}`}…`,
        applied: 'This holds from now on.',
        consequences: () =>
          study !== null && (
            <p>
              The line is where {unit} reads {lineText(study.found, study.found.threshold)}.{' '}
              {where.full === null
                ? 'The Course goes on computing with the sensor as its record has it: what the largest count is nobody has said.'
                : 'The Course computes from now on with a sensor that reads line and floor so.'}
            </p>
          ),
      }}
    />
  );
}
