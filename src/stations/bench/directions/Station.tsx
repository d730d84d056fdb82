import { useState } from 'react';
import {
  judgeDirection,
  rawLogOf,
  recordErrors,
  type DirectionResult,
  type DirectionStep,
  type FoundConvention,
  type RawLog,
} from '../../../core/directions/directionCheck';
import { radiansFromDegrees } from '../../../core/geometry/angle';
import { rawConvention, type RawConvention } from '../../../core/channels/rawConvention';
import type { StandInAction } from '../../../core/standIn/act';
import type { Reading } from '../../../formats/readings';
import { switchErrors, withSwitches } from '../../../core/devices/switches';
import { Choice } from '../../../ui/fields/Choice';
import { Switches } from './Switches';
import { ToldStep } from './ToldStep';
import { Button } from '../../../ui/Button';
import { Notice, Toast } from '../../../ui/Notice';
import { useToast } from '../../../ui/useToast';
import { useSaved } from '../../useSaved';
import type { BenchProps } from '../procedure';
import { RecordTakeOver } from '../RecordTakeOver';
import styles from '../Bench.module.css';
import { FileSource } from '../logs/FileSource';
import { SourceChoice, type Source } from '../logs/SourceChoice';
import { hasSerial } from '../logs/serial';
import { logOf } from '../logs/sources';
import { doWithStandIn } from '../standIn/standInStore';
import { useStandInIsOn } from '../standIn/useStandIn';
import { useBetween } from '../logs/useBetween';
import { useSource } from '../logs/useSource';

const STEPS: {
  step: DirectionStep;
  title: string;
  how: string;
  /** The same without a log: what is looked at. */
  told: string;
  byHand: StandInAction;
  handLabel: string;
}[] = [
  {
    step: 'turn-left',
    title: 'Turn it to the left',
    how: 'Press start, turn the robot a quarter to the left by hand, press done.',
    told: 'Turn it a quarter to the left by hand, and watch the heading. A jump from 359 to 0 counts as growing.',
    byHand: { do: 'turn-by-hand', angleRad: radiansFromDegrees(90) },
    handLabel: 'A hand turns the stand-in left',
  },
  {
    step: 'roll-forward',
    title: 'Roll it forward',
    how: 'Press start, roll the robot forward by about twice its own length, press done.',
    told: 'Roll it forward by its own length, and watch the angles of both motors.',
    byHand: { do: 'roll-by-hand', distanceM: 0.3 },
    handLabel: 'A hand rolls the stand-in forward',
  },
  {
    step: 'tilt',
    title: 'Tilt it',
    how: 'Press start, lift its nose and put it down again, press done.',
    told: 'Lift its nose and put it down again: does the heading change?',
    byHand: { do: 'tilt' },
    handLabel: 'A hand tilts the stand-in',
  },
];

const AS_READ: RawConvention = {
  signs: { heading: 1, leftMotor: 1, rightMotor: 1 },
  encodersRollOver: false,
};

/** Readings without any sign turned; nothing, where too little came to make a log of. */
function asRead(readings: readonly Reading[]): RawLog {
  try {
    return rawLogOf(logOf(readings, AS_READ));
  } catch {
    return rawLogOf({ tS: new Float64Array(), columns: {} });
  }
}

type Results = Partial<Record<DirectionStep, DirectionResult>>;

interface StepProps {
  entry: (typeof STEPS)[number];
  source: Source;
  /** Read off the robot's small screen: there is no log. */
  isTold: boolean;
  result: DirectionResult | undefined;
  standInReady: boolean;
  onResult(result: DirectionResult): void;
}

function Step({ entry, source, isTold, result, standInReady, onResult }: StepProps) {
  const live = source === 'file' ? 'stand-in' : source;
  const between = useBetween(live, (readings) =>
    onResult(judgeDirection(entry.step, asRead(readings))),
  );
  const ready = source === 'serial' ? hasSerial() : standInReady;
  return (
    <section aria-label={entry.title} className={styles.tool}>
      <h2>{entry.title}</h2>
      <p>
        {isTold
          ? entry.told
          : source === 'file'
            ? 'A log of just this, with raw readings:'
            : entry.how}
      </p>
      {isTold ? (
        <ToldStep step={entry.step} onResult={onResult} />
      ) : source === 'file' ? (
        <FileSource
          raw={AS_READ}
          onLog={({ log }) => onResult(judgeDirection(entry.step, rawLogOf(log)))}
        />
      ) : (
        <div className={styles.actions}>
          {between.recording !== null ? (
            <>
              {source === 'stand-in' && (
                <Button onClick={() => void doWithStandIn(entry.byHand)}>{entry.handLabel}</Button>
              )}
              <Button look="strong" onClick={between.done}>
                Done
              </Button>
            </>
          ) : (
            <Button disabled={!ready} onClick={() => void between.start()}>
              Start
            </Button>
          )}
        </div>
      )}
      {between.problem !== null && <Notice tone="fault">{between.problem}</Notice>}
      {result !== undefined && (
        <Notice tone={result.ok ? 'good' : 'careful'}>{result.sentence}</Notice>
      )}
    </section>
  );
}

function headlineOf(results: Results, wrong: string[], found: FoundConvention): string {
  const known = Object.keys(found).length - 1;
  if (known === 0) {
    return 'Which way is positive? Three moves by hand tell how the raw readings grow, once and for all.';
  }
  if (wrong.length > 0) {
    return `The record has ${wrong.join(', and ')}: take over what was found.`;
  }
  return known === 3 && results.tilt?.ok === true
    ? 'All readings grow the way the record says, and the sensor lies flat.'
    : 'So far the readings grow the way the record says.';
}

/** Directions: which way each raw reading grows, and whether the heading sensor lies flat. */
export default function Station({ robot }: BenchProps) {
  const [toast, tell] = useToast();
  const saved = useSaved('robots', robot, () => tell('The record is put right.'));
  const [source, setSource] = useSource('stand-in');
  const [results, setResults] = useState<Results>({});
  const [isTold, setTold] = useState(false);
  const [pressed, setPressed] = useState<Readonly<Record<string, boolean>>>({});
  const isOn = useStandInIsOn();
  const { rollsOver, ...signs }: FoundConvention = {
    ...results['turn-left']?.signs,
    ...results['roll-forward']?.signs,
    rollsOver: results['roll-forward']?.rollsOver ?? null,
  };
  const record = saved.saved.robot;
  const found = { rollsOver, ...signs };
  const wrong = [...recordErrors(rawConvention(record), found), ...switchErrors(record, pressed)];
  return (
    <>
      <p className={styles.headline} data-testid="directions-verdict">
        {headlineOf(results, wrong, found)}
      </p>
      <div className={styles.fields}>
        <Choice
          label="How it is read"
          value={isTold ? 'told' : 'log'}
          options={[
            { value: 'log', label: 'by its readings' },
            { value: 'told', label: 'off its small screen' },
          ]}
          onChange={(value) => setTold(value === 'told')}
        />
        {!isTold && <SourceChoice value={source} onChange={setSource} />}
        {!isTold && source === 'stand-in' && isOn === false && (
          <span className="faint">The stand-in is switched off.</span>
        )}
      </div>
      <div className={styles.tools}>
        {STEPS.map((entry) => (
          <Step
            key={entry.step}
            entry={entry}
            source={source}
            isTold={isTold}
            result={results[entry.step]}
            standInReady={isOn === true}
            onResult={(result) => setResults((old) => ({ ...old, [entry.step]: result }))}
          />
        ))}
        <Switches
          robot={record}
          pressed={pressed}
          onPressed={(id, reads) => setPressed((old) => ({ ...old, [id]: reads }))}
        />
      </div>
      <RecordTakeOver
        saved={saved}
        label={wrong.length > 0 ? 'Take this over into the record' : null}
        change={(old) => ({
          ...old,
          signs: { ...old.signs, ...signs },
          build: { ...old.build, encodersRollOver: rollsOver ?? old.build.encodersRollOver },
          units: withSwitches(old.units, pressed),
        })}
      />
      <Toast text={toast} />
    </>
  );
}
