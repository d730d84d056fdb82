import { useDeferredValue, useMemo } from 'react';
import { calibrationFromColours } from '../../../core/calibration/kinds/colourClasses/fromStudy';
import { formOfReading } from '../../../core/colourClasses/colourTrials';
import { colourStudy } from '../../../core/colourClasses/colourStudy';
import { CARE_AT_THE_BENCH } from '../../../core/course/care';
import { devicesOf } from '../../../core/devices/ofRobot';
import { counted } from '../../../core/text/quantities';
import { COLOUR_TRIAL } from '../../../core/trials/colour';
import { COLOUR_LIST } from '../../../core/trials/lists/light';
import type {
  ColourTrialRecord,
  ColourTrials,
  TrialListEntry,
} from '../../../formats/benchRecords';
import { Notice } from '../../../ui/Notice';
import { ChoiceField } from '../../../ui/fields/ChoiceField';
import { Select } from '../../../ui/fields/Select';
import { ValueField } from '../../../ui/fields/ValueField';
import styles from '../Bench.module.css';
import type { BenchProps } from '../procedure';
import { notAside } from '../trials/openedList';
import { DescribedTable } from '../trials/DescribedTable';
import { TrialsFile } from '../trials/TrialsFile';
import { TrialsShell } from '../trials/TrialsShell';
import { useTrials } from '../trials/useTrials';
import { Edges } from './Edges';
import { ColourEntry } from './ColourEntry';
import { Confusion, Rules, Ways } from './ColourFigures';
import { ColourPicture } from './ColourPicture';
import { Conversion } from './Conversion';
import { ReadOnce } from './ReadOnce';
import { SCALES_OF } from './scalesOf';

interface Props extends BenchProps {
  trials: ColourTrials;
  lists: TrialListEntry[];
}

const STEPS = [
  'Hold the sensor over one colour as it will be in a run. Five readings, moving and tilting it a little.',
  'The next colour; then the dark floor, and nothing at all before it. Each by its own name.',
  'The same at another height, or with the lamps off: what is mistaken there shows by itself.',
  CARE_AT_THE_BENCH,
];
const REASONS = ['It lay half on another colour', 'A hand threw a shadow', 'Typed by mistake'];

/** Rows of a file; one without numbers, and without a word, tells nothing. */
const readColours = async (file: File, newId: () => string) =>
  (await import('../../../formats/csv/trialFile')).readTrials(COLOUR_TRIAL, file, newId, (row) =>
    formOfReading(row) === null ? 'expected r, g and b; or h, s and v; or h; or class' : row,
  );

/** Colours that a sensor tells apart: by which numbers, how often it is mistaken, and what to type into a program. */
export default function Station({ robot, trials: loaded, lists }: Props) {
  const kept = useTrials(loaded);
  const { record, add, replace, setConditions } = kept;
  const { conditions } = record;
  const hasSensor = devicesOf(robot.robot, 'colour sensor').length > 0;
  const used = useMemo(() => notAside(record.trials), [record]);
  // Each reading is judged by all others: that may come a moment after it was typed.
  const judged = useDeferredValue(used);
  const study = useMemo(() => colourStudy(judged, conditions), [judged, conditions]);
  const names = [...new Set(used.map(({ name }) => name))];
  const referenceOptions = [
    { value: '', label: 'none' },
    ...names.map((name) => ({ value: name, label: name })),
  ];
  const takeFile = (readings: ColourTrialRecord[]) => {
    // A file in another form than what was typed is what is looked at.
    const [form] = readings.flatMap((one) => formOfReading(one) ?? []);
    if (form !== undefined) setConditions({ shows: form });
    add(...readings);
  };
  return (
    <TrialsShell<ColourTrials>
      {...{ robot, kept, lists }}
      sentences={study?.sentences ?? null}
      what="reading"
      reasons={REASONS}
      caution="A reading that is far off by itself is no reason: the next one may be, too."
      opening={
        <>
          Five readings of each colour: which the sensor tells apart, by which of its numbers, and
          what to type into the program. {counted(used.length, 'reading')} so far.
        </>
      }
      see={
        <>
          {!hasSensor && (
            <Notice tone="careful">
              {robot.name} has no colour sensor plugged in. Type what one reads; to let it hold,{' '}
              <a href={`/robot?robot=${robot.id}`}>note it in the record</a> first.
            </Notice>
          )}
          {study !== null && <ColourPicture study={study} />}
        </>
      }
      steps={STEPS}
      doing={
        <>
          <ColourEntry
            key={conditions.shows}
            {...{ robot, conditions }}
            trials={record.trials}
            onReadings={(readings) => add(...readings)}
          />
          <details>
            <summary>How the sensor counts: {COLOUR_LIST.shows.options[conditions.shows]}</summary>
            <ChoiceField
              field={COLOUR_LIST.shows}
              value={conditions.shows}
              onChange={(shows) => setConditions({ shows })}
            />
            {conditions.shows === 'rgb' && (
              <div className={styles.fields}>
                {(['white', 'black'] as const).map((key) => (
                  <Select
                    key={key}
                    label={COLOUR_LIST[key].label}
                    value={conditions[key]}
                    options={referenceOptions}
                    onChange={(name) => setConditions({ [key]: name })}
                  />
                ))}
              </div>
            )}
            <div className={styles.fields}>
              {SCALES_OF[conditions.shows].map((key) => (
                <ValueField
                  key={key}
                  field={COLOUR_LIST[key]}
                  hint="empty: as the readings show"
                  value={conditions[key]}
                  onChange={(most) => setConditions({ [key]: most })}
                  onClear={() => setConditions({ [key]: null })}
                />
              ))}
            </div>
          </details>
          {study !== null && conditions.shows === 'rgb' && (
            <Conversion {...{ study, conditions }} onChange={setConditions} />
          )}
          <TrialsFile
            label="Readings of colours (CSV)"
            kind={COLOUR_TRIAL}
            read={readColours}
            onTake={takeFile}
          />
        </>
      }
      know={
        study !== null && (
          <>
            <Rules study={study} />
            <ReadOnce study={study} />
            <Edges {...{ study, robot }} />
            <Confusion study={study} />
            {study.found.ways.length > 1 && <Ways study={study} />}
          </>
        )
      }
      asks={['battery', 'who']}
      table={(ask) => (
        <DescribedTable
          label="Readings"
          kind={COLOUR_TRIAL}
          trials={record.trials}
          {...{ ask, replace }}
        />
      )}
      apply={{
        value: study !== null && hasSensor ? calibrationFromColours(study) : null,
        evidence: used,
        label: 'Apply these…',
        applied: 'These hold from now on.',
        consequences: () => (
          <p>
            The inequalities are kept with the robot, with their day and what they rest on: type
            them into the program.
          </p>
        ),
      }}
    />
  );
}
